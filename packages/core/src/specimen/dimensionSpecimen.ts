import { inkOf } from '../compose';
import type { Drawing, Item } from '../drawing';
import type { Typefaces } from '../lettering';
import type { DimensionLettering, OfficeStandard } from '../standard';
import { fill, lettered, outline, stroke } from './items';

/** Where the parts of a level dimension stand, in mm on paper, for a dimension line at height `line`. */
export interface DimensionParts {
  /** The upright extension lines: from the gap off the object to past the dimension line. */
  extensionFrom: number;
  extensionTo: number;
  /** Base line of the figures. */
  figures: number;
}

/** Sets out a dimension above an object whose top edge is at `object` with its dimension line at `line` (mm). */
export function dimensionParts(style: DimensionLettering, object: number, line: number): DimensionParts {
  return {
    extensionFrom: object + style.gap,
    extensionTo: line + style.extension,
    figures: line + style.offset,
  };
}

/** A level dimension from x0 to x1 (mm on paper) over an object, with its figures. */
export function dimensionItems(
  style: DimensionLettering,
  [x0, x1]: readonly [number, number],
  [object, line]: readonly [number, number],
  figures: string,
  standard: OfficeStandard,
  typefaces: Typefaces,
): Item[] {
  const parts = dimensionParts(style, object, line);
  const { width, ...colour } = inkOf(standard, style.pen);
  const setting = { typeface: style.typeface, height: style.height, ...colour };
  return [
    ...[x0, x1].map((x) => stroke([x, parts.extensionFrom, x, parts.extensionTo], width, colour)),
    stroke([x0, line, x1, line], width, colour),
    ...terminator(style, x0, line, 1, width, colour),
    ...terminator(style, x1, line, -1, width, colour),
    ...lettered(figures, (x0 + x1) / 2, parts.figures, setting, typefaces, 'middle'),
  ];
}

function terminator(
  { terminator: kind, terminatorSize: size }: DimensionLettering,
  x: number,
  y: number,
  inward: 1 | -1,
  width: number,
  ink: { colour?: string },
): Item[] {
  if (size <= 0) return [];
  // A tick is as long as its size, at 45 degrees through the end of the dimension line.
  const reach = (size / 2) * Math.SQRT1_2;
  if (kind === 'tick') return [stroke([x - reach, y - reach, x + reach, y + reach], width * 2, ink)];
  if (kind === 'arrow') {
    const tip = x + inward * size;
    return [fill([x, y, tip, y + size / 6, tip, y - size / 6], ink.colour)];
  }
  const around = Array.from({ length: 24 }, (_, i) => (i / 24) * 2 * Math.PI);
  return [
    fill(
      around.flatMap((a) => [x + (size / 2) * Math.cos(a), y + (size / 2) * Math.sin(a)]),
      ink.colour,
    ),
  ];
}

/** A wall of two openings with its dimensions, at true size on paper. */
export function dimensionSpecimen(style: DimensionLettering, standard: OfficeStandard, typefaces: Typefaces): Drawing {
  const [left, split, right] = [12, 52, 98];
  const top = 14;
  const line = top + Math.max(10, style.gap + style.height + style.offset + 4);
  const words = style.unit === 'mm' ? ['2000', '2300'] : [`6'-8"`, `7'-8"`];
  return {
    width: 110,
    height: line + style.offset + style.height + style.extension + 6,
    items: [
      outline([left, 5, right, 5, right, top, left, top], 0.5),
      stroke([split, 5, split, top], 0.35),
      ...dimensionItems(style, [left, split], [top, line], words[0] ?? '', standard, typefaces),
      ...dimensionItems(style, [split, right], [top, line], words[1] ?? '', standard, typefaces),
    ],
  };
}
