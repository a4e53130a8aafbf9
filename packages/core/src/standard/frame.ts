import type { Rect } from '../geometry';
import { MM_PER } from '../quantity';
import type { SheetSize } from './sheetSizes';

/** Margins of a frame in mm; `left` is the binding edge. */
export interface Margins {
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/**
 * The margins that a size's own standard asks for, in mm. ISO 5457 (from memory): 20 on the left, 10 elsewhere. ASME
 * and architectural sheets: common practice, 1/2 in all round, with 1 1/2 in on the binding edge from 24 in on.
 */
export function standardMargins(size: SheetSize): Margins {
  if (size.series === 'ISO') return { left: 20, right: 10, top: 10, bottom: 10 };
  const edge = MM_PER.in / 2;
  const binding = Math.max(size.width, size.height) >= 24 * MM_PER.in ? 1.5 * MM_PER.in : edge;
  return { left: binding, right: edge, top: edge, bottom: edge };
}

/** The rectangle of the frame on a sheet, in mm from the sheet's lower-left corner. */
export function frameOf(sheet: { width: number; height: number }, margins: Margins): Rect {
  return {
    x: margins.left,
    y: margins.bottom,
    width: sheet.width - margins.left - margins.right,
    height: sheet.height - margins.bottom - margins.top,
  };
}

/** ISO 5457 (from memory): fields of the zone reference grid are this long, the remainder goes to the corners. */
export const ZONE_FIELD = 50;

/** Capitals that zones use; ISO 5457 (from memory) leaves out I and O. */
const ZONE_LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ';

/** One field of the zone grid along an edge: its mark and where it starts and ends, in mm along that edge. */
export interface ZoneField {
  mark: string;
  from: number;
  to: number;
}

export interface Zones {
  /** Fields along the horizontal edges, numbered from the left. */
  columns: ZoneField[];
  /** Fields along the vertical edges, lettered from the top. */
  rows: ZoneField[];
}

/**
 * Field limits along an edge: from the sheet's centre line outwards in steps of `field`; what is left over goes to the
 * corner fields, which are therefore longer than a field or, where more than half a field is left, fields of their own.
 * ISO 5457's table for A0–A4 (24x16, 16x12, 12x8, 8x6, 6x4) is met by rounding the half edge to whole fields.
 */
function fieldLimits(sheetLength: number, frameFrom: number, frameTo: number, field: number): number[] {
  const centre = sheetLength / 2;
  const perHalf = Math.max(1, Math.round(centre / field));
  const inner = Array.from({ length: 2 * perHalf - 1 }, (_, i) => centre + (i + 1 - perHalf) * field);
  return [frameFrom, ...inner.filter((at) => at > frameFrom && at < frameTo), frameTo];
}

/**
 * The zone reference grid of a sheet. Numerals run along the horizontal edges from the left, capitals along the
 * vertical edges from the top.
 * @param sheet trimmed size in mm
 * @param frame the frame in mm
 */
export function zonesOf(sheet: { width: number; height: number }, frame: Rect, field = ZONE_FIELD): Zones {
  const pairs = (limits: number[]): { from: number; to: number }[] =>
    limits.slice(1).map((to, i) => ({ from: limits[i] ?? 0, to }));
  const columns = pairs(fieldLimits(sheet.width, frame.x, frame.x + frame.width, field)).map((each, i) => ({
    mark: String(i + 1),
    ...each,
  }));
  const rows = pairs(fieldLimits(sheet.height, frame.y, frame.y + frame.height, field))
    .reverse()
    .map((each, i) => ({ mark: zoneLetter(i), ...each }));
  return { columns, rows };
}

/** A, B … Z without I and O, then AA, AB … */
function zoneLetter(index: number): string {
  const letter = ZONE_LETTERS[index % ZONE_LETTERS.length] ?? '';
  return index < ZONE_LETTERS.length ? letter : zoneLetter(Math.floor(index / ZONE_LETTERS.length) - 1) + letter;
}
