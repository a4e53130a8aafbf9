import type { Axis, Cell, Design, Panel } from '../design';
import { cellLabel } from '../design';
import type { Rect } from '../geometry';
import type { Typefaces } from '../lettering';
import { withFallback } from '../lettering';
import type { Values } from '../parameter';
import type { OfficeStandard, Orientation } from '../standard';
import { asRuled, zonesOf } from '../standard';
import type { TableRows } from '../table';
import { layContents } from './content';
import type { TrackPlaces } from './division';
import { closedTracks, gapBetween, gapsTogether, placeTracks, sizedTracks } from './division';
import { layLoose } from './loose';
import { measure } from './measures';
import { dockPanel } from './panels';
import { missingPens } from './missingPens';
import { contentOverlaps, marksOff, panelOverlaps } from './overlapFindings';
import { roomFindings } from './roomFindings';
import { rowsWithoutTable } from './rowsWithoutTable';
import type { CellLayout, SheetLayout } from './sheetLayout';
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
export function solveDesign(design: Design, asked: SolveFor): SheetLayout {
  const on = { ...asked, typefaces: withFallback(asked.typefaces, asked.standard.fallbackTypeface) };
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
    goingOn: new Map(),
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
    ...rowsWithoutTable(layout),
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
  const placed: CellLayout = {
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
  const width = rect.width - gapsTogether(cell, 'columns', solving);
  const height = rect.height - gapsTogether(cell, 'rows', solving);
  const sizedColumns = sizedTracks(cell, 'columns', solving);
  const across = sizeTracks(sizedColumns, width).lengths;
  const sizedRows = sizedTracks(cell, 'rows', solving, across);
  const down = sizeTracks(sizedRows, height).lengths;
  layout.findings.push(
    ...roomFindings(cell, 'columns', sizedColumns, across, width, layout.unit),
    ...roomFindings(cell, 'rows', sizedRows, down, height, layout.unit),
  );
  const place = (axis: Axis, from: number, direction: 1 | -1, lengths: readonly number[]): TrackPlaces =>
    placeTracks(from, direction, lengths, gapBetween(cell, axis, solving), closedTracks(cell, axis, solving));
  const columns = place('columns', rect.x, 1, across);
  const rows = place('rows', rect.y + rect.height, -1, down);
  placed.columns = columns.limits;
  placed.rows = rows.limits;
  if (division.gaps) placed.halfGaps = { columns: columns.halves, rows: rows.halves };
  for (const child of division.children) {
    const [left, right] = extent(columns, 1, child.column, child.columnSpan);
    const [top, bottom] = extent(rows, -1, child.row, child.rowSpan);
    const inside = { x: left, y: bottom, width: Math.max(0, right - left), height: Math.max(0, top - bottom) };
    layCell(child.cell, inside, panel, depth + 1, solving);
  }
}

/** Where neighbouring tracks begin and end, the gaps on both sides left out. */
function extent({ limits, halves }: TrackPlaces, direction: 1 | -1, from: number, span: number): [number, number] {
  const begin = (limits[from] ?? 0) + direction * (halves[from] ?? 0);
  const end = from + span;
  return [begin, (limits[end] ?? begin) - direction * (halves[end] ?? 0)];
}

/** The values a track stands for, as the person sees them: lengths of all tracks of a division in mm. */
export function trackLengths(cell: Pick<CellLayout, Axis | 'halfGaps'>, axis: Axis): number[] {
  const at = cell[axis] ?? [];
  const halves = cell.halfGaps?.[axis];
  return at
    .slice(1)
    .map((limit, i) => Math.max(0, Math.abs(limit - (at[i] ?? limit)) - (halves?.[i] ?? 0) - (halves?.[i + 1] ?? 0)));
}
