import type { Picture, ScaleBar, SymbolContent } from '../design';
import type { Linework } from '../linework';
import type { ImageItem, Item } from '../drawing';
import { boundsOf, placed, turnedBox } from '../drawing';
import type { Rect } from '../geometry';
import { around } from '../geometry';
import { DEFAULT_PADDING, SYMBOL_PROPORTION } from '../layout';
import type { FoundCell } from './builtDesign';
import { inTenths, shiftFrom } from './cellShift';
import type { MarkName } from './marks';
import { MARK_WORDS, markOf } from './marks';
import { ON_EDGE } from './tolerances';

const rounded = (value: number): number => Math.round(value * 1e6) / 1e6;

/** No bar is drawn higher than this, in mm: what reaches higher are its ticks. */
const MOST_BAR = 3;

/** Pieces of a picture; a design with more of them would be slow to draw. */
export const MOST_PIECES = 2000;

/**
 * The linework of a cell as one picture, called by what it is, and each image in it.
 * @param asSymbols given where a mark that is a known one becomes that symbol; with the role of a scale bar's figures
 */
export function picturesOf(
  cell: FoundCell,
  nextId: () => string,
  asSymbols: { figures: string } | undefined,
): (Picture | SymbolContent | ScaleBar)[] {
  const { face, linework } = cell;
  const images = linework.filter((item) => item.kind === 'image');
  const lines = linework.filter((item) => item.kind !== 'image');
  const mark = lines.length > 0 ? markOf(cell) : undefined;
  if (mark && asSymbols) return [symbolInPlace(mark, lines, face, nextId, asSymbols.figures)];
  const drawn = lines.length > 0 ? drawnPicture(lines, face, mark ? MARK_WORDS[mark] : 'Logo', nextId) : undefined;
  return [...(drawn ? [drawn] : []), ...images.flatMap((image) => imagePicture(image, face, nextId))];
}

/** A symbol as large as the mark that it stands for, in the middle of its place. */
function symbolInPlace(
  symbol: MarkName,
  lines: readonly Item[],
  face: Rect,
  nextId: () => string,
  figures: string,
): SymbolContent | ScaleBar {
  const bounds = around(lines.map(boundsOf)) ?? face;
  const inner = innerOf(face);
  const up = bounds.y + bounds.height / 2 - inner.y - inner.height / 2;
  if (symbol === 'scale bar') {
    return {
      id: nextId(),
      kind: 'scaleBar',
      parameter: 'sheet.scale',
      length: inTenths(bounds.width),
      height: inTenths(Math.min(bounds.height, MOST_BAR)),
      role: figures,
      horizontal: 'left',
      vertical: 'middle',
      ...shiftFrom(bounds.x - inner.x, up),
      rotation: 0,
    };
  }
  const asWide = bounds.width / SYMBOL_PROPORTION[symbol];
  const height = Math.min(Math.min(bounds.height, asWide), Math.max(1, inner.height - 2 * Math.abs(up)));
  const along = bounds.x + bounds.width / 2 - (height * SYMBOL_PROPORTION[symbol]) / 2 - inner.x;
  return {
    id: nextId(),
    kind: 'symbol',
    symbol,
    height: inTenths(height),
    horizontal: 'left',
    vertical: 'middle',
    ...shiftFrom(along, up),
    rotation: 0,
  };
}

type Placing = Pick<Picture, 'horizontal' | 'vertical' | 'shift' | 'rotation'>;

/**
 * Where a picture goes: it keeps its place by standing in the middle of its cell, or by its distance from there. Undefined where it
 * reaches over the padding.
 */
function placeOf(bounds: Rect, inner: Rect): Placing | undefined {
  const [right, up] = [
    bounds.x + bounds.width / 2 - inner.x - inner.width / 2,
    bounds.y + bounds.height / 2 - inner.y - inner.height / 2,
  ];
  if (
    Math.abs(right) < ON_EDGE &&
    Math.abs(up) < ON_EDGE &&
    bounds.width <= inner.width &&
    bounds.height <= inner.height
  )
    return { horizontal: 'centre', vertical: 'middle', rotation: 0 };
  if (!isWithin(bounds, inner)) return undefined;
  return { horizontal: 'left', vertical: 'middle', ...shiftFrom(bounds.x - inner.x, up), rotation: 0 };
}

const FILLING: Placing = { horizontal: 'centre', vertical: 'middle', rotation: 0 };

const innerOf = (face: Rect): Rect => ({
  x: face.x + DEFAULT_PADDING,
  y: face.y + DEFAULT_PADDING,
  width: face.width - 2 * DEFAULT_PADDING,
  height: face.height - 2 * DEFAULT_PADDING,
});

/** Linework that reaches over the padding stands in a box as large as the cell. */
function drawnPicture(linework: readonly Item[], face: Rect, name: string, nextId: () => string): Picture | undefined {
  const bounds = around(linework.map(boundsOf));
  if (!bounds || bounds.width <= 0 || bounds.height <= 0) return undefined;
  const inner = innerOf(face);
  const placing = placeOf(bounds, inner);
  const box = placing ? bounds : inner;
  if (box.width <= 0 || box.height <= 0) return undefined;
  const pieces = linework.slice(0, MOST_PIECES).flatMap((item): Linework[] => {
    const moved = placed(item, 1, -box.x, -box.y);
    if (moved.kind === 'stroke') return [{ kind: 'stroke', points: moved.points.map(rounded), closed: moved.closed }];
    if (moved.kind === 'fill') return [{ kind: 'fill', rings: moved.rings.map((ring) => ring.map(rounded)) }];
    if (moved.kind === 'arc') {
      const { centre, radius, from, to } = moved;
      return [{ kind: 'arc', centre: [rounded(centre.x), rounded(centre.y)], radius: rounded(radius), from, to }];
    }
    return [];
  });
  if (pieces.length === 0) return undefined;
  return {
    id: nextId(),
    kind: 'picture',
    ...(placing ?? FILLING),
    name,
    width: rounded(box.width),
    height: rounded(box.height),
    linework: pieces,
  };
}

/** An image that reaches over the padding is as large as goes into its cell. */
function imagePicture(item: ImageItem, face: Rect, nextId: () => string): Picture[] {
  const { name, type, file, pixels, turn = 0 } = item;
  // Its place is found on the sheet as it is turned back for it, like the place that it then has in its cell.
  const level = turnedBox(item, -turn);
  const { width, height } = level;
  if (!pixels || width <= 0 || height <= 0) return [];
  const placing = placeOf(level, turnedBox(innerOf(face), -turn));
  return [
    {
      id: nextId(),
      kind: 'picture',
      ...(placing ?? FILLING),
      rotation: turn,
      name: name.slice(0, 100),
      width: rounded(width),
      height: rounded(height),
      ...(placing ? {} : { fitting: 'contain' as const }),
      linework: [],
      image: { type, ...pixels, ...file },
    },
  ];
}

const isWithin = (bounds: Rect, room: Rect): boolean =>
  bounds.x >= room.x &&
  bounds.y >= room.y &&
  bounds.x + bounds.width <= room.x + room.width &&
  bounds.y + bounds.height <= room.y + room.height;
