import type { Design } from '../design';
import type { Item, TextItem } from '../drawing';
import { rectPoints } from '../drawing';
import type { Rect } from '../geometry';
import { right, top } from '../geometry';
import type { SheetLayout } from '../layout';
import type { Typefaces } from '../lettering';
import { textWidth } from '../lettering';
import type { OfficeStandard, Zones, ZoneRule } from '../standard';
import { asRuled, foldsOf, ZONE_BAND } from '../standard';
import { inkOf, layerName } from './layers';
import { roleText } from './roleText';

/** ISO 5457 (from memory): zone lines are 0.35 mm, centring marks 0.7 mm wide and 10 mm long from the zone border. */
const ZONE_LINE = 0.35;
const CENTRING_WIDTH = 0.7;
const CENTRING_LENGTH = 10;
/** ISO 5457 (from memory): a trimming mark is two filled bars of 10 by 5 mm that share the sheet's corner. */
const TRIMMING = { long: 10, short: 5 };
/** Fold marks are short ticks from the sheet's edge inwards, common practice. */
const FOLD_TICK = 5;
const FOLD_WIDTH = 0.18;

/** The frame, the sheet's edge, the zone grid and the marks that the design or its frame rule asks for. */
export function frameItems(
  design: Design,
  layout: SheetLayout,
  standard: OfficeStandard,
  typefaces: Typefaces,
): Item[] {
  const { sheet, frame, rule } = layout;
  const [frameLayer, marks] = [layerName(standard, 'frame'), layerName(standard, 'marks')];
  const items: Item[] = [];
  if (design.frame.trimLine) {
    const edge = rectPoints({ x: 0, y: 0, width: sheet.width, height: sheet.height });
    items.push({ kind: 'stroke', points: edge, closed: true, width: 0.13, layer: frameLayer, part: 'frame' });
  }
  items.push({
    kind: 'stroke',
    points: rectPoints(frame),
    closed: true,
    ...inkOf(standard, design.frame.pen),
    layer: frameLayer,
    part: 'frame',
  });
  if (layout.zones) {
    items.push(...zoneLines(frame, layout.zones, rule.zones, marks));
    items.push(...zoneMarks(frame, layout.zones, rule.zones, standard, typefaces, marks));
  }
  if (asRuled(design.frame.centringMarks, rule.centring)) items.push(...centringMarks(sheet, frame, marks));
  if (asRuled(design.frame.trimmingMarks, rule.trimming)) items.push(...trimmingMarks(sheet, marks));
  if (asRuled(design.frame.foldMarks, rule.folds)) items.push(...foldMarks(sheet, marks));
  return items;
}

const line = (points: number[], width: number, layer: string): Item => ({
  kind: 'stroke',
  points,
  closed: false,
  width,
  layer,
  part: 'frame',
});

function zoneLines(frame: Rect, { columns, rows }: Zones, { edges }: ZoneRule, layer: string): Item[] {
  const items: Item[] = [];
  const tick = (shown: boolean, points: number[]): void => {
    if (shown) items.push(line(points, ZONE_LINE, layer));
  };
  for (const { from } of columns.slice(1)) {
    tick(edges.top, [from, top(frame), from, top(frame) + ZONE_BAND]);
    tick(edges.bottom, [from, frame.y, from, frame.y - ZONE_BAND]);
  }
  for (const { to } of rows.slice(1)) {
    tick(edges.left, [frame.x, to, frame.x - ZONE_BAND, to]);
    tick(edges.right, [right(frame), to, right(frame) + ZONE_BAND, to]);
  }
  return items;
}

function zoneMarks(
  frame: Rect,
  { columns, rows }: Zones,
  { edges }: ZoneRule,
  standard: OfficeStandard,
  typefaces: Typefaces,
  layer: string,
): Item[] {
  const role = standard.roles.find((each) => each.use === 'zone');
  const typeface = role && typefaces.get(role.typeface);
  if (!role || !typeface) return [];
  const mark = (text: string, x: number, y: number): TextItem => {
    const width = textWidth(typeface, text, role.height, role.widthFactor);
    const line = { text, x: x - width / 2, y: y - role.height / 2, width };
    return roleText(line, role, { layer, part: 'frame' }, standard);
  };
  const half = ZONE_BAND / 2;
  return [
    ...columns.flatMap(({ mark: text, from, to }) => [
      ...(edges.top ? [mark(text, (from + to) / 2, top(frame) + half)] : []),
      ...(edges.bottom ? [mark(text, (from + to) / 2, frame.y - half)] : []),
    ]),
    ...rows.flatMap(({ mark: text, from, to }) => [
      ...(edges.left ? [mark(text, frame.x - half, (from + to) / 2)] : []),
      ...(edges.right ? [mark(text, right(frame) + half, (from + to) / 2)] : []),
    ]),
  ];
}

function centringMarks(sheet: Extent, frame: Rect, layer: string): Item[] {
  const [cx, cy] = [sheet.width / 2, sheet.height / 2];
  const [outer, inner] = [ZONE_BAND, CENTRING_LENGTH - ZONE_BAND];
  return [
    [cx, top(frame) + outer, cx, top(frame) - inner],
    [cx, frame.y - outer, cx, frame.y + inner],
    [frame.x - outer, cy, frame.x + inner, cy],
    [right(frame) + outer, cy, right(frame) - inner, cy],
  ].map((points) => line(points, CENTRING_WIDTH, layer));
}

interface Extent {
  width: number;
  height: number;
}

/** One filled angle in each corner of the sheet. */
function trimmingMarks({ width, height }: Extent, layer: string): Item[] {
  const { long, short } = TRIMMING;
  const angle = [0, 0, long, 0, long, short, short, short, short, long, 0, long];
  return [
    [0, 1, 0, 1],
    [width, -1, 0, 1],
    [width, -1, height, -1],
    [0, 1, height, -1],
  ].map(([x0 = 0, sx = 1, y0 = 0, sy = 1]) => ({
    kind: 'fill',
    rings: [angle.map((value, i) => (i % 2 === 0 ? x0 + sx * value : y0 + sy * value))],
    layer,
    part: 'frame',
  }));
}

function foldMarks(sheet: Extent, layer: string): Item[] {
  const { x, y } = foldsOf(sheet);
  return [
    ...x.flatMap((at) => [
      [at, 0, at, FOLD_TICK],
      [at, sheet.height, at, sheet.height - FOLD_TICK],
    ]),
    ...y.flatMap((at) => [
      [0, at, FOLD_TICK, at],
      [sheet.width, at, sheet.width - FOLD_TICK, at],
    ]),
  ].map((points) => line(points, FOLD_WIDTH, layer));
}
