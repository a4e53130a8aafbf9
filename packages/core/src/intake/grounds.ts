import type { FillItem } from '../drawing';
import { boundsOf } from '../drawing';
import type { Rect } from '../geometry';
import { contains } from '../geometry';
import type { FoundCell } from './builtDesign';
import { OVER_CELL } from './tolerances';

/** The ground of a cell whose old colour is not known. */
const USUAL_GROUND = '#d9d9d9';
/** Letters in black are legible on grounds at least as light, as a part of white (from memory: contrast 4.5 to 1 and better). */
const LIGHTEST_DARK = 0.55;
/** Corners of a filled rectangle lie on its edges, within this in mm; and it may end so far before the lines of its cell. */
const ON_EDGE = 0.1;
const INSIDE = 0.6;

/** Whether a filled area is a rectangle that stands level. */
function isLevelRectangle({ rings }: FillItem, { x, y, width, height }: Rect): boolean {
  const [ring] = rings;
  if (!ring || rings.length !== 1 || (ring.length !== 8 && ring.length !== 10)) return false;
  for (let i = 0; i < ring.length; i += 2) {
    const [px, py] = [ring[i] ?? 0, ring[i + 1] ?? 0];
    const across = Math.min(Math.abs(px - x), Math.abs(px - x - width)) < ON_EDGE;
    const up = Math.min(Math.abs(py - y), Math.abs(py - y - height)) < ON_EDGE;
    if (!across || !up) return false;
  }
  return true;
}

/** How light a colour is, 0 black to 1 white; ITU-R BT.709's weights (from memory). */
function lightness(colour: string): number {
  const part = (at: number): number => parseInt(colour.slice(at, at + 2), 16) / 255;
  return 0.2126 * part(1) + 0.7152 * part(3) + 0.0722 * part(5);
}

/** The cells that a filled area is the ground of, and its colour; undefined for what is a part of a picture. */
export function groundOf(
  fill: FillItem,
  cells: readonly FoundCell[],
): { cells: FoundCell[]; colour: string | undefined } | undefined {
  const bounds = boundsOf(fill);
  if (!isLevelRectangle(fill, bounds)) return undefined;
  const under = cells.filter(({ face }) => covers(bounds, face));
  if (under.length === 0) return undefined;
  const colour = fill.colour ?? USUAL_GROUND;
  return { cells: under, colour: lightness(colour) >= LIGHTEST_DARK ? colour : undefined };
}

const covers = (bounds: Rect, { x, y, width, height }: Rect): boolean =>
  contains(bounds, { x: x + INSIDE, y: y + INSIDE }, OVER_CELL) &&
  contains(bounds, { x: x + width - INSIDE, y: y + height - INSIDE }, OVER_CELL);
