import type { Cell, Design, Panel } from '../design';
import { cellLabel } from '../design';
import type { Rect } from '../geometry';
import type { Typefaces } from '../lettering';
import type { Values } from '../parameter';
import type { OfficeStandard, Orientation } from '../standard';
import { asRuled, zonesOf } from '../standard';
import type { TableRows } from '../table';
import { layContents } from './content';
import { sizedTracks } from './division';
import { layLoose } from './loose';
import { measure } from './measures';
import { dockPanel } from './panels';
import { missingPens } from './missingPens';
import { contentOverlaps, marksOff, panelOverlaps } from './overlapFindings';
import { roomFindings } from './roomFindings';
import type { SheetLayout } from './sheetLayout';
import type { Solving } from './solving';
import { hasContents, isShown } from './solving';
import { sizeTracks } from './tracks';

/** Everything a solution depends on besides the design. */
export interface SolveFor {
  size: string;
  orientation?: Orientation;
  values: Values;
  standard: OfficeStandard;
  typefaces: Typefaces;
  /** Rows of the design's tables. */
  tables?: TableRows | undefined;
}

/**
 * Solves a design for one sheet size and one set of values.
 * @throws LayoutError, UnknownSizeError or UnknownLetteringError naming the place in the design
 */
export function solveDesign(design: Design, on: SolveFor): SheetLayout {
  const measures = measure(design, on.size, on.standard, on.values, on.orientation);
  const { sheet, frame, margins, rule } = measures;
  const layout: SheetLayout = {
    sheet,
    unit: design.unit,
    margins,
    rule,
    frame,
    drawingArea: { ...frame },
    claimed: [],
    panels: [],
    cells: [],
    hidden: new Set(),
    texts: [],
    placed: [],
    loose: [],
    dimensions: new Map(),
    findings: [],
  };
  if (asRuled(design.frame.zones, rule.zones.shown)) layout.zones = zonesOf(sheet, frame, rule.zones);
  for (const [name, value] of measures.dimensions) {
    if (value.kind === 'quantity') layout.dimensions.set(name, value.amount);
  }
  const solving: Solving = { measures, setting: on, layout, shown: new Map(), natural: new Map() };
  for (const panel of design.panels) {
    const there = panel.when === undefined || measures.holds(panel.when, () => `${panel.id}.when`);
    if (!there || !isShown(panel.root, solving)) {
      layout.hidden.add(panel.id);
      hide(panel.root, layout);
      continue;
    }
    const rect = dockPanel(panel, layout, measures);
    layout.panels.push({ id: panel.id, name: panel.name, dock: panel.dock, panel, ...rect });
    layCell(panel.root, rect, panel, 0, solving);
  }
  layLoose(design, solving);
  layout.findings.push(
    ...missingPens(design, on.standard),
    ...panelOverlaps(layout),
    ...contentOverlaps(layout),
    ...marksOff(layout),
  );
  return layout;
}

/** Notes that a cell and everything in it are left out. */
function hide(cell: Cell, layout: SheetLayout): void {
  layout.hidden.add(cell.id);
  for (const child of cell.division?.children ?? []) hide(child.cell, layout);
}

function layCell(cell: Cell, rect: Rect, panel: Panel, depth: number, solving: Solving): void {
  const { layout, measures, setting } = solving;
  const { division } = cell;
  const placed = {
    id: cell.id,
    name: cellLabel(cell),
    panel: panel.id,
    depth,
    divided: division !== undefined,
    x: rect.x,
    y: rect.y,
    width: rect.width,
    height: rect.height,
  };
  layout.cells.push(placed);
  if (!isShown(cell, solving)) {
    hide(cell, layout);
    return;
  }
  if (!division) {
    if (hasContents(cell, solving)) layContents(cell, rect, setting, measures, layout);
    return;
  }
  const sizedColumns = sizedTracks(cell, 'columns', solving);
  const across = sizeTracks(sizedColumns, rect.width).lengths;
  const sizedRows = sizedTracks(cell, 'rows', solving, across);
  const down = sizeTracks(sizedRows, rect.height).lengths;
  layout.findings.push(
    ...roomFindings(cell, 'columns', sizedColumns, across, rect.width, layout.unit),
    ...roomFindings(cell, 'rows', sizedRows, down, rect.height, layout.unit),
  );
  const columns = limits(rect.x, across, 1);
  const rows = limits(rect.y + rect.height, down, -1);
  Object.assign(placed, { columns, rows });
  for (const child of division.children) {
    const left = columns[child.column] ?? rect.x;
    const right = columns[child.column + child.columnSpan] ?? left;
    const top = rows[child.row] ?? rect.y;
    const bottom = rows[child.row + child.rowSpan] ?? top;
    const inside = { x: left, y: bottom, width: right - left, height: top - bottom };
    layCell(child.cell, inside, panel, depth + 1, solving);
  }
}

/** Positions of the limits of tracks that start at `from` and run in a direction. */
function limits(from: number, lengths: readonly number[], direction: 1 | -1): number[] {
  const at = [from];
  let sum = 0;
  for (const length of lengths) {
    sum += length;
    at.push(from + direction * sum);
  }
  return at;
}

/** The values a track stands for, as the person sees them: lengths of all tracks of a division in mm. */
export function trackLengths(cell: { columns?: number[]; rows?: number[] }, axis: 'rows' | 'columns'): number[] {
  const at = cell[axis] ?? [];
  return at.slice(1).map((limit, i) => Math.abs(limit - (at[i] ?? limit)));
}
