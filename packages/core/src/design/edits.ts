import type { Cell, Child, Content, Design, Division, Track } from './schema';
import { cellsOf, findCell } from './visit';

export class EditError extends Error {
  override name = 'EditError';
}

export type Axis = 'rows' | 'columns';

/** Rewrites one cell and keeps everything else as it is, so that unchanged parts stay the same objects. */
function withCell(design: Design, id: string, change: (cell: Cell) => Cell): Design {
  let found = false;
  const walk = (cell: Cell): Cell => {
    if (cell.id === id) {
      found = true;
      return change(cell);
    }
    if (!cell.division) return cell;
    let changed = false;
    const children = cell.division.children.map((child) => {
      const next = walk(child.cell);
      if (next === child.cell) return child;
      changed = true;
      return { ...child, cell: next };
    });
    return changed ? { ...cell, division: { ...cell.division, children } } : cell;
  };
  const panels = design.panels.map((panel) => {
    const root = walk(panel.root);
    return root === panel.root ? panel : { ...panel, root };
  });
  if (!found) throw new EditError('that cell is no longer in the design');
  return { ...design, panels };
}

/** An id of the form `cell-7` that the design does not use yet. */
export function freshId(design: Design, kind: string): string {
  const used = new Set<string>();
  for (const panel of design.panels) used.add(panel.id);
  for (const { cell } of cellsOf(design)) {
    used.add(cell.id);
    for (const content of cell.contents) used.add(content.id);
  }
  for (let n = 1; ; n++) if (!used.has(`${kind}-${n}`)) return `${kind}-${n}`;
}

const emptyCell = (id: string): Cell => ({ id, name: '', contents: [] });

/** Several unused ids at once. */
function freshIds(design: Design, kind: string, count: number): string[] {
  const first = Number(freshId(design, kind).slice(kind.length + 1));
  const ids: string[] = [];
  for (let n = first; ids.length < count; n++) {
    const id = `${kind}-${n}`;
    if (!findCell(design, id)) ids.push(id);
  }
  return ids;
}

/**
 * Divides a cell into rows or columns. Content of an undivided cell moves into the first new cell; a cell that is
 * divided along the same axis keeps as many children as there are tracks.
 * @throws EditError when cells with content would be lost
 */
export function divideCell(design: Design, id: string, axis: Axis, tracks: readonly Track[]): Design {
  const place = findCell(design, id);
  if (!place) throw new EditError('that cell is no longer in the design');
  const ids = freshIds(design, 'cell', tracks.length);
  return withCell(design, id, (cell) => {
    const before = cell.division;
    const otherAxis = axis === 'rows' ? 'columns' : 'rows';
    if (before && before[otherAxis].length > 1) {
      throw new EditError(`this cell is divided into ${otherAxis}; select one of them, or join them first`);
    }
    const kept = before
      ? [...before.children].sort((a, b) => indexOn(a, axis) - indexOn(b, axis)).map((c) => c.cell)
      : [];
    const lost = kept.slice(tracks.length).find((each) => each.contents.length > 0 || each.division);
    if (lost) throw new EditError(`the ${axis} that would go still hold something; empty them first`);
    const children = tracks.map((_, i): Child => {
      const old = kept[i];
      const fresh = emptyCell(ids[i] ?? `cell-x${i}`);
      const inner = old ?? (i === 0 && !before ? { ...fresh, contents: cell.contents } : fresh);
      return axis === 'rows'
        ? { column: 0, row: i, columnSpan: 1, rowSpan: 1, cell: inner }
        : { column: i, row: 0, columnSpan: 1, rowSpan: 1, cell: inner };
    });
    const division: Division =
      axis === 'rows'
        ? { columns: [{ share: 1 }], rows: [...tracks], children }
        : { columns: [...tracks], rows: [{ share: 1 }], children };
    return { ...cell, contents: [], division };
  });
}

const indexOn = (child: Child, axis: Axis): number => (axis === 'rows' ? child.row : child.column);

/** Takes a division away; the contents of its cells come together in the cell itself. */
export function joinCell(design: Design, id: string): Design {
  return withCell(design, id, (cell) => {
    const contents: Content[] = [];
    const gather = (each: Cell): void => {
      contents.push(...each.contents);
      for (const child of each.division?.children ?? []) gather(child.cell);
    };
    gather(cell);
    const joined = { ...cell, contents };
    delete joined.division;
    return joined;
  });
}

/** Sets one track of a division. */
export function setTrack(design: Design, id: string, axis: Axis, index: number, track: Track): Design {
  return withCell(design, id, (cell) => {
    if (!cell.division || index < 0 || index >= cell.division[axis].length) throw new EditError('that track is gone');
    return {
      ...cell,
      division: { ...cell.division, [axis]: cell.division[axis].map((old, i) => (i === index ? track : old)) },
    };
  });
}

/** Names a cell, or sets its padding or its condition; an empty text takes the latter two away. */
export function setCell(
  design: Design,
  id: string,
  change: { name?: string; padding?: string; when?: string },
): Design {
  return withCell(design, id, (cell) => {
    const next = { ...cell, ...change };
    if (next.padding === '') delete next.padding;
    if (next.when === '') delete next.when;
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
  const place = cellWith(design, content.id);
  return withCell(design, place, (cell) => ({
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

function cellWith(design: Design, contentId: string): string {
  for (const { cell } of cellsOf(design)) if (cell.contents.some((each) => each.id === contentId)) return cell.id;
  throw new EditError('that content is no longer in the design');
}

/** Sets a panel's width or height. */
export function setPanel(
  design: Design,
  id: string,
  change: { name?: string; width?: string; height?: string },
): Design {
  if (!design.panels.some((panel) => panel.id === id)) throw new EditError('that panel is no longer in the design');
  return { ...design, panels: design.panels.map((panel) => (panel.id === id ? { ...panel, ...change } : panel)) };
}

/** Sets a dimension's formula, for one size when `size` is given; adds the dimension when it is new. */
export function setDimension(design: Design, name: string, formula: string, size?: string): Design {
  const known = design.dimensions.find((each) => each.name === name);
  if (!known) return { ...design, dimensions: [...design.dimensions, { name, formula }] };
  const next = size === undefined ? { ...known, formula } : { ...known, bySize: { ...known.bySize, [size]: formula } };
  return { ...design, dimensions: design.dimensions.map((each) => (each === known ? next : each)) };
}

export function renameDesign(design: Design, name: string): Design {
  return { ...design, name };
}
