import { z } from 'zod';

/** A closed part of an outline, called what sheets call it. */
export interface OutlinePart {
  name: string;
  /** Corners, x, y, x, y …, y up. */
  ring: number[];
}

/** An outline of a site or a building, in closed parts with names and in lines, in a box from 0, 0 to its width and height. */
export interface Outline {
  width: number;
  height: number;
  parts: OutlinePart[];
  /** Lines that are no part, x, y, x, y … */
  lines: number[][];
}

/** Parts that an outline may have; more of them nobody finds on paper. */
export const MOST_PARTS = 60;
export const MOST_PART_NAME = 40;
/** Characters that an outline may have as a value. */
export const MOST_OUTLINE_CHARACTERS = 20_000;
/** Length of an outline's longer side in its own units, of which each place is a whole one: a tenth of a per cent. */
const SIDE = 1000;

const numbers = (least: number): z.ZodType<number[]> =>
  z
    .array(
      z
        .int()
        .min(-SIDE)
        .max(2 * SIDE),
    )
    .min(least)
    .refine((list) => list.length % 2 === 0);

const outlineSchema = z.strictObject({
  width: z.int().positive().max(SIDE),
  height: z.int().positive().max(SIDE),
  parts: z
    .array(z.strictObject({ name: z.string().trim().min(1).max(MOST_PART_NAME), ring: numbers(6) }))
    .max(MOST_PARTS),
  lines: z.array(numbers(4)).max(1000),
});

/** Outlines that were read lately: a project's own is asked for at every sheet. */
const known = new Map<string, Outline | undefined>();
const MOST_KNOWN = 20;

/** The outline that a parameter's value is; undefined for any other text. */
export function readOutlineValue(text: string): Outline | undefined {
  if (!text.startsWith('{') || text.length > MOST_OUTLINE_CHARACTERS) return undefined;
  if (known.has(text)) return known.get(text);
  const outline = parsed(text);
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(text, outline);
  return outline;
}

function parsed(text: string): Outline | undefined {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return undefined;
  }
  const { data } = outlineSchema.safeParse(value);
  if (!data || data.parts.length + data.lines.length === 0) return undefined;
  const names = new Set(data.parts.map(({ name }) => sameName(name)));
  return names.size === data.parts.length ? data : undefined;
}

/**
 * The value that an outline is: its places on a grid of a thousandth of its longer side, neighbours on one place counted once.
 * It may be longer than a value may be.
 */
export function outlineValue({ width, height, parts, lines }: Outline): string {
  const scale = SIDE / Math.max(width, height);
  const placed = (points: readonly number[], closed: boolean): number[] => {
    const out: number[] = [];
    for (let i = 0; i + 1 < points.length; i += 2) {
      const [x, y] = [Math.round((points[i] ?? 0) * scale), Math.round((points[i + 1] ?? 0) * scale)];
      if (x !== out[out.length - 2] || y !== out[out.length - 1]) out.push(x, y);
    }
    if (closed && out.length > 2 && out[0] === out[out.length - 2] && out[1] === out[out.length - 1]) out.splice(-2);
    return out;
  };
  const kept: Outline = {
    width: Math.max(1, Math.round(width * scale)),
    height: Math.max(1, Math.round(height * scale)),
    parts: parts.map(({ name, ring }) => ({ name, ring: placed(ring, true) })).filter(({ ring }) => ring.length >= 6),
    lines: lines.map((line) => placed(line, false)).filter((line) => line.length >= 4),
  };
  return JSON.stringify(kept);
}

/** Names are the same whatever their case. */
export const sameName = (name: string): string => name.trim().toLowerCase();

/** The names in a value that marks one part or several: `B`, `A, B`, `A + C`. */
export const markedNames = (value: string): string[] =>
  value
    .split(/[,;+/&\n]/)
    .map((name) => name.trim())
    .filter((name) => name !== '');

/** An invented outline for try-on: a hall with a wing and a tower. */
export const EXAMPLE_OUTLINE = outlineValue({
  width: 100,
  height: 60,
  parts: [
    { name: 'A', ring: [0, 20, 40, 20, 40, 60, 0, 60] },
    { name: 'B', ring: [40, 20, 80, 20, 80, 44, 40, 44] },
    { name: 'C', ring: [80, 0, 100, 0, 100, 44, 80, 44] },
  ],
  lines: [[0, 6, 76, 6]],
});
