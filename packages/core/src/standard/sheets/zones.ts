import { z } from 'zod';
import type { Rect } from '../../geometry';

export const zoneRuleSchema = z.strictObject({
  shown: z.boolean(),
  /** Length of a field in mm. */
  field: z.number().min(5, 'a field is at least 5 mm long').max(1000, 'a field is at most 1000 mm long'),
  /** The end of the upright edges at which A stands. */
  lettersFrom: z.enum(['top', 'bottom']),
  /** The end of the level edges at which 1 stands. */
  numbersFrom: z.enum(['left', 'right']),
  /** Capitals that are not used. */
  omit: z
    .string()
    .max(25)
    .regex(/^[A-Z]*$/, 'left-out characters are capitals, such as IO'),
  /** The edges that carry marks. */
  edges: z.strictObject({ left: z.boolean(), right: z.boolean(), top: z.boolean(), bottom: z.boolean() }),
});
/** How the zone reference grid of a frame is made. */
export type ZoneRule = z.infer<typeof zoneRuleSchema>;

/** ISO 5457 (from memory): fields of 50 mm, marks on all edges, no I and O, numerals from the left, capitals from the top. */
export const ISO_ZONES: ZoneRule = {
  shown: true,
  field: 50,
  lettersFrom: 'top',
  numbersFrom: 'left',
  omit: 'IO',
  edges: { left: true, right: true, top: true, bottom: true },
};

/** Width in mm of the band outside the frame in which zone marks stand; ISO 5457 (from memory) has 5. */
export const ZONE_BAND = 5;

/** One field of the zone grid along an edge: its mark and where it starts and ends, in mm along that edge. */
export interface ZoneField {
  mark: string;
  from: number;
  to: number;
}

export interface Zones {
  /** Fields along the level edges, from the left. */
  columns: ZoneField[];
  /** Fields along the upright edges, from the top. */
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
 * The zone reference grid of a sheet.
 * @param sheet trimmed size in mm
 * @param frame the frame in mm
 */
export function zonesOf(
  sheet: { width: number; height: number },
  frame: Rect,
  rule: Pick<ZoneRule, 'field' | 'lettersFrom' | 'numbersFrom' | 'omit'> = ISO_ZONES,
): Zones {
  const pairs = (limits: number[]): { from: number; to: number }[] =>
    limits.slice(1).map((to, i) => ({ from: limits[i] ?? 0, to }));
  const across = pairs(fieldLimits(sheet.width, frame.x, frame.x + frame.width, rule.field));
  const down = pairs(fieldLimits(sheet.height, frame.y, frame.y + frame.height, rule.field)).reverse();
  const letters = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'].filter((letter) => !rule.omit.includes(letter));
  const place = (index: number, count: number, reversed: boolean): number => (reversed ? count - 1 - index : index);
  return {
    columns: across.map((each, i) => ({
      mark: String(place(i, across.length, rule.numbersFrom === 'right') + 1),
      ...each,
    })),
    rows: down.map((each, i) => ({
      mark: zoneLetter(place(i, down.length, rule.lettersFrom === 'bottom'), letters),
      ...each,
    })),
  };
}

/** A, B … Z without what is left out, then AA, AB … */
function zoneLetter(index: number, letters: readonly string[]): string {
  const letter = letters[index % letters.length] ?? '';
  if (index < letters.length) return letter;
  return zoneLetter(Math.floor(index / letters.length) - 1, letters) + letter;
}
