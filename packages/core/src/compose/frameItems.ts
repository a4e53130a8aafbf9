import type { Design } from '../design';
import type { Item, TextItem } from '../drawing';
import { rectPoints } from '../drawing';
import { right, top } from '../geometry';
import type { SheetLayout } from '../layout';
import type { Typefaces } from '../lettering';
import { textWidth } from '../lettering';
import type { OfficeStandard, ZoneField } from '../standard';
import { penWidth } from '../standard';
import { layerName } from './layers';

/** Width in mm of the band outside the frame in which zone marks stand; ISO 5457 (from memory) has 5. */
const ZONE_BAND = 5;
/** ISO 5457 (from memory): zone lines are 0.35 mm, centring marks 0.7 mm wide and 10 mm long from the zone border. */
const ZONE_LINE = 0.35;
const CENTRING_WIDTH = 0.7;
const CENTRING_LENGTH = 10;

/** The frame, the sheet's edge, the zone grid and the centring marks. */
export function frameItems(
  design: Design,
  layout: SheetLayout,
  standard: OfficeStandard,
  typefaces: Typefaces,
): Item[] {
  const { sheet, frame } = layout;
  const items: Item[] = [];
  const [frameLayer, marks] = [layerName(standard, 'frame'), layerName(standard, 'marks')];
  const line = (points: number[], width: number, layer: string): void => {
    items.push({ kind: 'stroke', points, closed: false, width, layer, part: 'frame' });
  };
  if (design.frame.trimLine) {
    const edge = rectPoints({ x: 0, y: 0, width: sheet.width, height: sheet.height });
    items.push({ kind: 'stroke', points: edge, closed: true, width: 0.13, layer: frameLayer, part: 'frame' });
  }
  const pen = penWidth(standard, design.frame.pen);
  items.push({ kind: 'stroke', points: rectPoints(frame), closed: true, width: pen, layer: frameLayer, part: 'frame' });

  if (layout.zones) {
    const { columns, rows } = layout.zones;
    for (const { from } of columns.slice(1)) {
      line([from, top(frame), from, top(frame) + ZONE_BAND], ZONE_LINE, marks);
      line([from, frame.y, from, frame.y - ZONE_BAND], ZONE_LINE, marks);
    }
    for (const { to } of rows.slice(1)) {
      line([frame.x, to, frame.x - ZONE_BAND, to], ZONE_LINE, marks);
      line([right(frame), to, right(frame) + ZONE_BAND, to], ZONE_LINE, marks);
    }
    items.push(...zoneMarks(layout, columns, rows, standard, typefaces, marks));
  }
  if (design.frame.centringMarks) {
    const [cx, cy] = [sheet.width / 2, sheet.height / 2];
    const [outer, inner] = [ZONE_BAND, CENTRING_LENGTH - ZONE_BAND];
    line([cx, top(frame) + outer, cx, top(frame) - inner], CENTRING_WIDTH, marks);
    line([cx, frame.y - outer, cx, frame.y + inner], CENTRING_WIDTH, marks);
    line([frame.x - outer, cy, frame.x + inner, cy], CENTRING_WIDTH, marks);
    line([right(frame) + outer, cy, right(frame) - inner, cy], CENTRING_WIDTH, marks);
  }
  return items;
}

function zoneMarks(
  layout: SheetLayout,
  columns: readonly ZoneField[],
  rows: readonly ZoneField[],
  standard: OfficeStandard,
  typefaces: Typefaces,
  layer: string,
): Item[] {
  const role = standard.roles.find((each) => each.use === 'zone');
  const typeface = role && typefaces.get(role.typeface);
  if (!role || !typeface) return [];
  const { frame } = layout;
  const mark = (text: string, x: number, y: number): TextItem => {
    const width = textWidth(typeface, text, role.height, role.widthFactor);
    return {
      kind: 'text',
      text,
      at: { x: x - width / 2, y: y - role.height / 2 },
      height: role.height,
      width,
      widthFactor: role.widthFactor,
      rotation: 0,
      typeface: role.typeface,
      role: role.id,
      layer,
      part: 'frame',
    };
  };
  const half = ZONE_BAND / 2;
  return [
    ...columns.flatMap(({ mark: text, from, to }) => [
      mark(text, (from + to) / 2, top(frame) + half),
      mark(text, (from + to) / 2, frame.y - half),
    ]),
    ...rows.flatMap(({ mark: text, from, to }) => [
      mark(text, frame.x - half, (from + to) / 2),
      mark(text, right(frame) + half, (from + to) / 2),
    ]),
  ];
}
