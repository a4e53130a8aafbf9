import type { LetteringRole } from '../standard';
import { nextSmaller } from '../standard';
import { brokenLines } from './lineBreaking';
import type { Typeface } from './typeface';
import { measureOf } from './typeface';

/** What a text may do to get into its cell, in this order: wrap, condense, step down in the office's series. */
export interface FitPolicy {
  /** Most lines; 1 for a text that must not wrap. */
  lines: number;
  /** Least width factor, at most 1. */
  condense: number;
  /** How many heights of the office's series it may step down. */
  steps: number;
}

export type Fit = 'fits' | 'wrapped' | 'condensed' | 'stepped' | 'spills';

/** How a text sits in the room it has. Lengths in mm. */
export interface FittedText {
  lines: string[];
  height: number;
  widthFactor: number;
  /** Width of the widest line. */
  width: number;
  fit: Fit;
  /** By how much it spills out of its room, 0 when it does not. */
  by: number;
}

/** Distances under this are not told apart: a tenth of the finest line. */
export const TOLERANCE = 0.01;

const widest = (lines: readonly string[], measure: (line: string) => number): number => {
  let width = 0;
  for (const line of lines) width = Math.max(width, measure(line));
  return width;
};

/** Height of a block of lines from the top of its first capitals to the last base line, in mm. */
export function linesHeight(count: number, height: number, spacing: number): number {
  return count === 0 ? 0 : height + (count - 1) * height * spacing;
}

/**
 * Sets a text into a room of `width` by `height` mm, with heights only from the office's series.
 * A text that cannot be made to fit keeps its role's height and width and reports the millimetres by which it spills.
 */
export function fitText(
  text: string,
  role: LetteringRole,
  typeface: Typeface,
  room: { width: number; height: number },
  policy: FitPolicy,
  series: readonly number[],
  kept?: readonly string[],
): FittedText {
  const shown = role.capitals ? text.toUpperCase() : text;
  const condensed = Math.min(policy.condense, 1);
  let height: number | undefined = role.height;
  for (let step = 0; step <= policy.steps && height !== undefined; step++) {
    const size = height;
    const measure = measureOf(typeface, size, role.widthFactor);
    const mostLines = Math.max(
      1,
      Math.min(policy.lines, Math.floor((room.height - size + TOLERANCE) / (size * role.lineSpacing)) + 1),
    );
    const one = shown.includes('\n') ? Infinity : measure(shown);
    const tall = size <= room.height + TOLERANCE;
    const stepped = step > 0;
    const result = (lines: string[], width: number, factor: number, fit: Fit): FittedText => ({
      lines,
      height: size,
      widthFactor: role.widthFactor * factor,
      width,
      fit: stepped ? 'stepped' : fit,
      by: 0,
    });
    if (tall && one <= room.width + TOLERANCE) return result([shown], one, 1, 'fits');
    if (tall && policy.lines > 1) {
      const { lines, width } = brokenLines(shown, room.width + TOLERANCE, measure, kept);
      if (lines.length <= mostLines && width <= room.width + TOLERANCE) return result(lines, width, 1, 'wrapped');
    }
    if (tall && condensed < 1) {
      // What goes in only within the tolerance is not condensed beyond its limit for that.
      const narrowed = (natural: number): number => Math.max(condensed, Math.min(1, room.width / natural));
      if (one * condensed <= room.width + TOLERANCE) {
        const factor = narrowed(one);
        return result([shown], one * factor, factor, 'condensed');
      }
      if (policy.lines > 1) {
        const { lines, width } = brokenLines(shown, (room.width + TOLERANCE) / condensed, measure, kept);
        if (lines.length <= mostLines && width * condensed <= room.width + TOLERANCE) {
          const factor = narrowed(width);
          return result(lines, width * factor, factor, 'condensed');
        }
      }
    }
    height = nextSmaller(size, series);
  }
  return spilled(shown, role, typeface, room, policy, kept);
}

function spilled(
  text: string,
  role: LetteringRole,
  typeface: Typeface,
  room: { width: number; height: number },
  policy: FitPolicy,
  kept: readonly string[] | undefined,
): FittedText {
  const measure = measureOf(typeface, role.height, role.widthFactor);
  const broken = policy.lines > 1 ? brokenLines(text, Math.max(room.width, 1), measure, kept).lines : text.split('\n');
  // The lines it may have keep their breaks; what is over runs on in the last one, so that the spill shows where it is.
  const lines = broken.slice(0, policy.lines);
  const over = broken.slice(policy.lines - 1).join(' ');
  if (broken.length > policy.lines) lines[lines.length - 1] = over;
  const width = widest(lines, measure);
  const tall = linesHeight(lines.length, role.height, role.lineSpacing);
  return {
    lines,
    height: role.height,
    widthFactor: role.widthFactor,
    width,
    fit: 'spills',
    by: Math.max(width - room.width, tall - room.height, 0),
  };
}
