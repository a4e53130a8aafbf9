import type { Edge, OfficeStandard } from '../../standard';
import { roleFor } from '../../standard';
import type { Cell } from '../cell';
import type { Content } from '../content';
import type { Design } from '../schema';
import { cellsOf, findCell } from '../visit';
import { copyOf, EditError, idMaker, withCell } from './editing';

/** What can be said of a cell besides its contents; an empty text takes padding, condition or fill away. */
export interface CellChange {
  name?: string;
  padding?: string;
  when?: string;
  fill?: string;
}

/** Names a cell, or sets its padding, its condition or its ground. */
export function setCell(design: Design, id: string, change: CellChange): Design {
  return withCell(design, id, (cell) => {
    const next = { ...cell, ...change };
    for (const key of ['padding', 'when', 'fill'] as const) if (next[key] === '') delete next[key];
    return next;
  });
}

/** Sets the pen of one edge of a cell; undefined takes the panel's again. */
export function setCellEdge(design: Design, id: string, edge: Edge, pen: string | undefined): Design {
  return withCell(design, id, (cell) => {
    const edges = { ...cell.edges };
    if (pen === undefined) delete edges[edge];
    else edges[edge] = pen;
    const next: Cell = { ...cell, edges };
    if (Object.keys(edges).length === 0) delete next.edges;
    return next;
  });
}

/** Adds content to an undivided cell. */
export function addContent(design: Design, id: string, content: Content): Design {
  return withCell(design, id, (cell) => {
    if (cell.division) throw new EditError('a divided cell holds no content; select one of its cells');
    return { ...cell, contents: [...cell.contents, content] };
  });
}

/** Replaces content of the same id. */
export function setContent(design: Design, content: Content): Design {
  return withCell(design, cellWith(design, content.id), (cell) => ({
    ...cell,
    contents: cell.contents.map((each) => (each.id === content.id ? content : each)),
  }));
}

export function removeContent(design: Design, id: string): Design {
  return withCell(design, cellWith(design, id), (cell) => ({
    ...cell,
    contents: cell.contents.filter((each) => each.id !== id),
  }));
}

/** Moves content up or down in the order of its cell. */
export function moveContent(design: Design, id: string, by: -1 | 1): Design {
  return withCell(design, cellWith(design, id), (cell) => {
    const from = cell.contents.findIndex((each) => each.id === id);
    const to = from + by;
    if (to < 0 || to >= cell.contents.length) return cell;
    const contents = [...cell.contents];
    contents.splice(to, 0, ...contents.splice(from, 1));
    return { ...cell, contents };
  });
}

function cellWith(design: Design, contentId: string): string {
  for (const { cell } of cellsOf(design)) if (cell.contents.some((each) => each.id === contentId)) return cell.id;
  throw new EditError('that content is no longer in the design');
}

/** Empties a cell: its contents and its division go. */
export function clearCell(design: Design, id: string): Design {
  return withCell(design, id, (cell) => {
    const next: Cell = { ...cell, contents: [] };
    delete next.division;
    return next;
  });
}

/**
 * Fills cells with a copy of another one: its division, contents, padding, condition, ground and edges; each keeps its
 * own name unless it has none.
 * @param source the copied cell, which may be of another design
 */
export function fillCells(design: Design, ids: readonly string[], source: Cell): Design {
  const make = idMaker(design);
  let next = design;
  for (const id of ids) {
    if (findCell(next, id)?.above.some((each) => ids.includes(each.id))) continue;
    const copy = copyOf(source, make);
    next = withCell(next, id, (cell) => ({ ...copy, id: cell.id, name: cell.name || copy.name }));
  }
  return next;
}

/** Changes all contents of some cells that a change knows; returns the design as it was when none is. */
export function changeContents(design: Design, ids: readonly string[], change: (content: Content) => Content): Design {
  let next = design;
  for (const id of ids) {
    const cell = findCell(next, id)?.cell;
    if (!cell || cell.contents.every((content) => change(content) === content)) continue;
    next = withCell(next, id, (each) => ({ ...each, contents: each.contents.map(change) }));
  }
  return next;
}

/**
 * Puts a caption and a field into cells, one parameter after the other into one cell after the other. Divided cells are
 * passed over.
 * @throws EditError when there are more parameters than cells to take them
 */
export function putFields(
  design: Design,
  ids: readonly string[],
  parameters: readonly { key: string; name: string }[],
  standard: Pick<OfficeStandard, 'roles'>,
): Design {
  const places = ids.filter((id) => findCell(design, id)?.cell.division === undefined);
  if (parameters.length > places.length) {
    throw new EditError(`${parameters.length} parameters need as many cells; ${places.length} are selected`);
  }
  const make = idMaker(design);
  const placed = { horizontal: 'left', rotation: 0 } as const;
  const fit = { lines: 2, condense: 0.85, steps: 1 };
  let next = design;
  parameters.forEach(({ key, name }, i) => {
    next = withCell(next, places[i] ?? '', (cell) => ({
      ...cell,
      contents: [
        ...cell.contents,
        {
          ...placed,
          id: make('content'),
          kind: 'caption',
          vertical: 'top',
          role: roleFor(standard, 'caption', design.unit).id,
          text: name,
          fit: { ...fit, lines: 1 },
        },
        {
          ...placed,
          id: make('content'),
          kind: 'field',
          vertical: 'bottom',
          role: roleFor(standard, 'value', design.unit).id,
          pattern: `{${key}}`,
          fit,
        },
      ],
    }));
  });
  return next;
}
