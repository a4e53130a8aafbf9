import { inkOf } from '../compose';
import type { Drawing, Item } from '../drawing';
import type { Typefaces } from '../lettering';
import { MM_PER } from '../quantity';
import type { DimensionFigures, DimensionLettering, OfficeStandard } from '../standard';
import { dimensionFigures, figuresOnOneLine, FRACTION_HEIGHT } from '../standard';
import type { Setting } from './items';
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

/** A level dimension from x0 to x1 (mm on paper) over an object that is `real` mm long. */
export function dimensionItems(
  style: DimensionLettering,
  [x0, x1]: readonly [number, number],
  [object, line]: readonly [number, number],
  real: number,
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
    ...figureItems(dimensionFigures(style, real), style, [(x0 + x1) / 2, parts.figures], setting, typefaces),
  ];
}

/** The figures with their middle at a place, with a fraction as the dimension lettering has it. */
function figureItems(
  figures: DimensionFigures,
  { fractions, height }: DimensionLettering,
  [middle, base]: readonly [number, number],
  setting: Setting,
  typefaces: Typefaces,
): Item[] {
  const { before, fraction, after } = figures;
  if (!fraction || fractions === 'in line') {
    return lettered(figuresOnOneLine(figures), middle, base, setting, typefaces, 'middle');
  }
  const { above, below } = fraction;
  const small = { ...setting, height: height * FRACTION_HEIGHT };
  const parts = [
    { words: before, setting },
    { words: String(above), setting: small },
    { words: String(below), setting: small },
    { words: after, setting },
  ];
  const [lead = 0, over = 0, under = 0, tail = 0] = parts.map(
    ({ words, setting: each }) => lettered(words, 0, 0, each, typefaces)[0]?.width ?? 0,
  );
  const space = height * 0.2;
  const slanted = fractions === 'slanted';
  const slash = height * 0.5;
  const broad = slanted ? over + slash + under : Math.max(over, under) + space;
  const start = middle - (lead + space + broad + space + tail) / 2;
  const at = start + lead + space;
  const end = at + broad + space;
  const pen = height * 0.08;
  const ink = setting.colour ? { colour: setting.colour } : {};
  const line = slanted
    ? stroke([at + over, base - height * 0.15, at + over + slash, base + height * 1.15], pen, ink)
    : stroke([at, base + height / 2, at + broad, base + height / 2], pen, ink);
  const [upper, lower] = slanted
    ? [base + height * 0.4, base - height * 0.15]
    : [base + height * 0.65, base - height * 0.4];
  return [
    ...lettered(before, start, base, setting, typefaces),
    ...lettered(String(above), slanted ? at : at + broad / 2, upper, small, typefaces, slanted ? 'start' : 'middle'),
    line,
    ...lettered(
      String(below),
      slanted ? at + over + slash : at + broad / 2,
      lower,
      small,
      typefaces,
      slanted ? 'start' : 'middle',
    ),
    ...lettered(after, end, base, setting, typefaces),
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
  // 6'-8 1/2" and 8', or lengths that show decimals where there are any.
  const [first, second] =
    style.unit === 'mm' ? [style.precision === 0 ? 2000 : 2000.5, 2300] : [80.5 * MM_PER.in, 8 * MM_PER.ft];
  return {
    width: 110,
    height: line + style.offset + style.height + style.extension + 6,
    items: [
      outline([left, 5, right, 5, right, top, left, top], 0.5),
      stroke([split, 5, split, top], 0.35),
      ...dimensionItems(style, [left, split], [top, line], first, standard, typefaces),
      ...dimensionItems(style, [split, right], [top, line], second, standard, typefaces),
    ],
  };
}
