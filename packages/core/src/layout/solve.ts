import type { Cell, Design, Panel, Track } from '../design';
import { cellLabel } from '../design';
import type { Rect } from '../geometry';
import type { Typefaces } from '../lettering';
import type { Values } from '../parameter';
import type { OfficeStandard, Orientation } from '../standard';
import { asRuled, zonesOf } from '../standard';
import type { TextSetting } from './cellContent';
import { DEFAULT_PADDING, layCellContents, naturalSize } from './cellContent';
import type { Measures } from './measures';
import { LayoutError, measure } from './measures';
import type { SheetLayout } from './sheetLayout';
import type { SizedTrack } from './tracks';
import { sizeTracks } from './tracks';

/** Everything a solution depends on besides the design. */
export interface SolveFor {
  size: string;
  orientation?: Orientation;
  values: Values;
  standard: OfficeStandard;
  typefaces: Typefaces;
}

/**
 * Solves a design for one sheet size and one set of values.
 * @throws LayoutError, UnknownSizeError or UnknownLetteringError naming the place in the design
 */
export function solveDesign(design: Design, on: SolveFor): SheetLayout {
  const measures = measure(design, on.size, on.standard, on.orientation);
  const { sheet, frame, margins, rule } = measures;
  const layout: SheetLayout = {
    sheet,
    margins,
    rule,
    frame,
    drawingArea: { ...frame },
    claimed: [],
    panels: [],
    cells: [],
    hidden: new Set(),
    texts: [],
    pictures: [],
    tables: [],
    dimensions: new Map(),
    findings: [],
  };
  if (asRuled(design.frame.zones, rule.zones.shown)) layout.zones = zonesOf(sheet, frame, rule.zones);
  for (const [name, value] of measures.dimensions) {
    if (value.kind === 'quantity') layout.dimensions.set(name, value.amount);
  }
  const setting: TextSetting = on;
  for (const panel of design.panels) {
    const rect = dockPanel(panel, layout, measures);
    layout.panels.push({ id: panel.id, name: panel.name, dock: panel.dock, panel, ...rect });
    layCell(panel.root, rect, panel, 0, measures, setting, layout);
  }
  return layout;
}

/** Gives a panel its place; panels at an edge take it away from the drawing area. */
function dockPanel(panel: Panel, layout: SheetLayout, measures: Measures): Rect {
  const area = layout.drawingArea;
  const of = (key: 'x' | 'y' | 'width' | 'height', otherwise: number): number => {
    const text = panel[key];
    return text === undefined ? otherwise : measures.length(text, () => `${panel.id}.${key}`);
  };
  const edge = panel.dock === 'left' || panel.dock === 'right' || panel.dock === 'top' || panel.dock === 'bottom';
  const alongX = panel.dock === 'top' || panel.dock === 'bottom';
  const width = edge && alongX ? area.width : of('width', area.width);
  const height = edge && !alongX ? area.height : of('height', area.height);
  if (width <= 0 || height <= 0) {
    throw new LayoutError(
      panel.id,
      `${panel.name} comes to ${width.toFixed(1)} x ${height.toFixed(1)} mm; both must be more than zero`,
    );
  }
  const over = Math.max(width - area.width, height - area.height);
  if (over > 0.001) {
    layout.findings.push({
      kind: 'room',
      weight: 'error',
      message: `${panel.name} needs ${over.toFixed(1)} mm more than ${layout.sheet.name} has`,
      where: { panel: panel.id },
      by: over,
      mend: 'give the panel its own size for this sheet, or leave the sheet size out of the design',
    });
  }
  if (panel.dock === 'floating') {
    const rect = { x: layout.frame.x + of('x', 0), y: layout.frame.y + of('y', 0), width, height };
    layout.claimed.push(rect);
    return rect;
  }
  const atRight = panel.dock === 'right' || panel.dock.endsWith('-right');
  const atTop = panel.dock === 'top' || panel.dock.startsWith('upper');
  const rect = {
    x: atRight ? area.x + area.width - width : area.x,
    y: atTop ? area.y + area.height - height : area.y,
    width,
    height,
  };
  if (!edge) layout.claimed.push(rect);
  else if (alongX) {
    layout.drawingArea = { ...area, height: area.height - height, y: atTop ? area.y : area.y + height };
  } else {
    layout.drawingArea = { ...area, width: area.width - width, x: atRight ? area.x : area.x + width };
  }
  return rect;
}

function paddingOf(cell: Cell, measures: Measures): number {
  return cell.padding === undefined ? DEFAULT_PADDING : measures.length(cell.padding, () => `${cell.id}.padding`);
}

function layCell(
  cell: Cell,
  rect: Rect,
  panel: Panel,
  depth: number,
  measures: Measures,
  setting: TextSetting,
  layout: SheetLayout,
): void {
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
  if (cell.when !== undefined && !measures.holds(cell.when, () => `${cell.id}.when`)) {
    layout.hidden.add(cell.id);
    return;
  }
  if (!division) {
    if (cell.contents.length > 0) {
      layCellContents(
        cell,
        rect,
        paddingOf(cell, measures),
        setting,
        (text, where) => measures.length(text, where),
        layout,
      );
    }
    return;
  }
  const across = sizeTracks(sized(cell, 'columns', measures, setting), rect.width);
  const down = sizeTracks(sized(cell, 'rows', measures, setting), rect.height);
  noteRoom(cell, 'columns', across.over, layout);
  noteRoom(cell, 'rows', down.over, layout);
  const columns = limits(rect.x, across.lengths, 1);
  const rows = limits(rect.y + rect.height, down.lengths, -1);
  Object.assign(placed, { columns, rows });
  for (const child of division.children) {
    const left = columns[child.column] ?? rect.x;
    const right = columns[child.column + child.columnSpan] ?? left;
    const top = rows[child.row] ?? rect.y;
    const bottom = rows[child.row + child.rowSpan] ?? top;
    const inside = { x: left, y: bottom, width: right - left, height: top - bottom };
    layCell(child.cell, inside, panel, depth + 1, measures, setting, layout);
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

function noteRoom(cell: Cell, axis: 'rows' | 'columns', over: number, layout: SheetLayout): void {
  if (over <= 0.001) return;
  layout.findings.push({
    kind: 'room',
    weight: 'error',
    message: `the ${axis} of ${cellLabel(cell)} are ${over.toFixed(1)} mm longer than the room they have`,
    where: { cell: cell.id },
    by: over,
    mend: `shorten a fixed track, or make one of them a share (*)`,
  });
}

function sized(cell: Cell, axis: 'rows' | 'columns', measures: Measures, setting: TextSetting): SizedTrack[] {
  const tracks = cell.division?.[axis] ?? [];
  return tracks.map((track, i): SizedTrack => {
    const where = (part: string) => (): string => `${cell.id}.${axis}.${i}.${part}`;
    if ('fixed' in track) {
      const length = measures.length(track.fixed, where('fixed'));
      if (length < 0) throw new LayoutError(where('fixed')(), `"${track.fixed}" comes to less than zero`);
      return { kind: 'fixed', length };
    }
    const min = track.min === undefined ? 0 : measures.length(track.min, where('min'));
    const max = track.max === undefined ? Infinity : measures.length(track.max, where('max'));
    if ('share' in track) return { kind: 'share', share: track.share, min, max };
    return { kind: 'fit', natural: naturalTrack(cell, axis, i, measures, setting), min, max };
  });
}

/** The room that the single-span cells of one track ask for. */
function naturalTrack(
  cell: Cell,
  axis: 'rows' | 'columns',
  index: number,
  measures: Measures,
  setting: TextSetting,
): number {
  let most = 0;
  for (const child of cell.division?.children ?? []) {
    const inTrack =
      axis === 'rows' ? child.row === index && child.rowSpan === 1 : child.column === index && child.columnSpan === 1;
    if (inTrack) most = Math.max(most, naturalCell(child.cell, axis, measures, setting));
  }
  return most;
}

function naturalCell(cell: Cell, axis: 'rows' | 'columns', measures: Measures, setting: TextSetting): number {
  const extent = axis === 'rows' ? 'height' : 'width';
  if (cell.division) {
    return cell.division[axis].reduce((sum, track: Track, i) => {
      const length =
        'fixed' in track
          ? measures.length(track.fixed, () => `${cell.id}.${axis}.${i}.fixed`)
          : naturalTrack(cell, axis, i, measures, setting);
      return sum + length;
    }, 0);
  }
  if (cell.contents.length === 0) return 0;
  const padding = paddingOf(cell, measures);
  const sizes = cell.contents.map((content) => {
    const size = naturalSize(content, setting, (text) => measures.length(text, () => `${cell.id}.${content.id}`));
    return size[extent];
  });
  const stacked =
    axis === 'rows' ? sizes.reduce((sum, each) => sum + each, 0) + (sizes.length - 1) : Math.max(...sizes);
  return stacked + 2 * padding;
}

/** The values a track stands for, as the person sees them: lengths of all tracks of a division in mm. */
export function trackLengths(cell: { columns?: number[]; rows?: number[] }, axis: 'rows' | 'columns'): number[] {
  const at = cell[axis] ?? [];
  return at.slice(1).map((limit, i) => Math.abs(limit - (at[i] ?? limit)));
}
