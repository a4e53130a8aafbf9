import type { Edge, OfficeStandard } from '../../standard';
import { penFor } from '../../standard';
import type { Cell, Child, EdgePens, Track } from '../cell';
import type { Dock, Panel } from '../panel';
import { lengthsNeeded, MOST_PANELS, PANEL_FORMULAS } from '../panel';
import type { Design } from '../schema';
import { assertUnlocked, EditError, emptyCell, idMaker, withPanel } from './editing';

/** Adds a panel after the others, with the pens of the first: it docks against what they leave. */
export function addPanel(
  design: Design,
  panel: { name: string; dock: Dock; width?: string; height?: string },
  standard: Pick<OfficeStandard, 'pens'>,
): Design {
  assertUnlocked(design);
  if (design.panels.length >= MOST_PANELS) throw new EditError(`a design has at most ${MOST_PANELS} panels`);
  const make = idMaker(design);
  const added: Panel = {
    id: make('panel'),
    ...panel,
    outlinePen: design.panels[0]?.outlinePen ?? penFor(standard, 'outline').id,
    dividerPen: design.panels[0]?.dividerPen ?? penFor(standard, 'divider').id,
    root: { ...emptyCell(make('cell')), name: panel.name },
  };
  return { ...design, panels: [...design.panels, added] };
}

/** Takes a panel away with everything in it. */
export function removePanel(design: Design, id: string): Design {
  const panel = design.panels.find((each) => each.id === id);
  assertUnlocked(design, panel);
  return { ...design, panels: design.panels.filter((each) => each.id !== id) };
}

/** What can be said of a panel; an empty text takes what is optional away. */
export interface PanelChange {
  name?: string;
  dock?: Dock;
  anchor?: Panel['anchor'];
  x?: string;
  y?: string;
  width?: string;
  height?: string;
  distance?: string;
  when?: string;
  overlay?: boolean;
  leaves?: 'rectangle' | 'all';
  outlinePen?: string;
  dividerPen?: string;
}

/**
 * Changes a panel. One that is moved to another place keeps what it can of its size and stays where it was; lengths that
 * its new place does not use go, so that nothing typed there is without effect.
 * @throws EditError when it is locked
 */
export function setPanel(design: Design, id: string, change: PanelChange): Design {
  return withPanel(design, id, (panel) => {
    const { leaves, ...others } = change;
    const next: Panel = { ...panel, ...others };
    if (leaves === 'rectangle') next.leaves = leaves;
    // Only a panel in a corner has a choice of what it leaves.
    if (leaves === 'all' || !next.dock.includes('-')) delete next.leaves;
    for (const key of PANEL_FORMULAS) if (next[key] === '') delete next[key];
    if (!next.overlay) delete next.overlay;
    if (next.dock === panel.dock) return next;
    return next.dock === 'floating' ? floated(panel, next) : docked(next, design.unit);
  });
}

/** The corner of the frame a docked panel lies in, which it hangs on once it floats. */
const CORNER_OF: Readonly<Record<Exclude<Dock, 'floating'>, NonNullable<Panel['anchor']>>> = {
  left: 'lower-left',
  right: 'lower-right',
  top: 'upper-left',
  bottom: 'lower-left',
  'lower-left': 'lower-left',
  'lower-right': 'lower-right',
  'upper-left': 'upper-left',
  'upper-right': 'upper-right',
};

/** A panel that floats where it was docked: along an edge it stays as long as the frame. */
function floated(before: Panel, next: Panel): Panel {
  const floating: Panel = { ...next, width: next.width ?? 'frame.width', height: next.height ?? 'frame.height' };
  delete floating.distance;
  if (before.dock !== 'floating') floating.anchor ??= CORNER_OF[before.dock];
  return floating;
}

const DOCKED_SIZE = { mm: { width: '180 mm', height: '60 mm' }, in: { width: '7 in', height: '2.5 in' } } as const;

function docked(panel: Panel, unit: Design['unit']): Panel {
  const next: Panel = { ...panel };
  for (const key of ['x', 'y', 'anchor'] as const) delete next[key];
  const needed = lengthsNeeded(next.dock);
  for (const key of ['width', 'height'] as const) {
    if (!needed.includes(key)) delete next[key];
    else if (next[key] === undefined || next[key] === `frame.${key}`) next[key] = DOCKED_SIZE[unit][key];
  }
  return next;
}

/** Sets the pen of one edge of a panel's outline; undefined takes the outline's own again. */
export function setPanelEdge(design: Design, id: string, edge: Edge, pen: string | undefined): Design {
  return withPanel(design, id, (panel) => {
    const edges = { ...panel.edges };
    if (pen === undefined) delete edges[edge];
    else edges[edge] = pen;
    const next: Panel = { ...panel, edges };
    if (Object.keys(edges).length === 0) delete next.edges;
    return next;
  });
}

/** Docks a panel one place earlier or later: earlier ones take the whole edge. */
export function movePanel(design: Design, id: string, by: -1 | 1): Design {
  assertUnlocked(design);
  const from = design.panels.findIndex((panel) => panel.id === id);
  const to = from + by;
  if (from < 0 || to < 0 || to >= design.panels.length) throw new EditError('there is no place further on');
  const panels = [...design.panels];
  panels.splice(to, 0, ...panels.splice(from, 1));
  return { ...design, panels };
}

/** Locks a panel or unlocks it. */
export function lockPanel(design: Design, id: string, locked: boolean): Design {
  assertUnlocked(design);
  return {
    ...design,
    panels: design.panels.map((panel) => {
      if (panel.id !== id) return panel;
      const next: Panel = { ...panel, locked };
      if (!locked) delete next.locked;
      return next;
    }),
  };
}

/** Locks a whole design or unlocks it. */
export function lockDesign(design: Design, locked: boolean): Design {
  const next: Design = { ...design, locked };
  if (!locked) delete next.locked;
  return next;
}

const MIRRORED: Readonly<Partial<Record<Dock, Dock>>> = {
  left: 'right',
  right: 'left',
  'lower-left': 'lower-right',
  'lower-right': 'lower-left',
  'upper-left': 'upper-right',
  'upper-right': 'upper-left',
};

/** Mirrors a panel to the other side of the sheet: its columns run the other way, its texts still read from the left. */
export function mirrorPanel(design: Design, id: string): Design {
  return withPanel(design, id, (panel) => {
    const next: Panel = { ...panel, dock: MIRRORED[panel.dock] ?? panel.dock, root: mirroredCell(panel.root) };
    if (panel.edges) next.edges = mirroredEdges(panel.edges);
    if (panel.dock === 'floating') {
      const anchor = panel.anchor ?? 'lower-left';
      next.anchor = (
        anchor.endsWith('left') ? anchor.replace('left', 'right') : anchor.replace('right', 'left')
      ) as NonNullable<Panel['anchor']>;
      if (panel.x !== undefined) next.x = `-(${panel.x})`;
    }
    return next;
  });
}

function mirroredEdges({ left, right, ...others }: EdgePens): EdgePens {
  const edges: EdgePens = { ...others };
  if (left !== undefined) edges.right = left;
  if (right !== undefined) edges.left = right;
  return edges;
}

function mirroredCell(cell: Cell): Cell {
  const next: Cell = { ...cell };
  if (cell.edges) next.edges = mirroredEdges(cell.edges);
  if (!cell.division) return next;
  const { columns, children } = cell.division;
  const last = columns.length - 1;
  // The line after a track comes to stand after the track that was behind it.
  const turned = columns.map((_, i): Track => {
    const track = { ...(columns[last - i] ?? { share: 1 }) };
    const line = i < last ? columns[last - i - 1]?.line : columns[last]?.line;
    if (line === undefined) delete track.line;
    else track.line = line;
    return track;
  });
  next.division = {
    ...cell.division,
    columns: turned,
    children: children
      .map((child): Child => ({
        ...child,
        column: columns.length - child.column - child.columnSpan,
        cell: mirroredCell(child.cell),
      }))
      .sort((a, b) => a.row - b.row || a.column - b.column),
  };
  return next;
}
