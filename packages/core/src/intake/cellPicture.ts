import type { Linework, Picture } from '../design';
import type { ImageItem, Item } from '../drawing';
import { boundsOf, placed } from '../drawing';
import type { Rect } from '../geometry';
import { around } from '../geometry';
import { DEFAULT_PADDING } from '../layout';
import type { FoundCell } from './builtDesign';
import { shiftFrom } from './cellShift';
import { ON_EDGE } from './tolerances';

const rounded = (value: number): number => Math.round(value * 1e6) / 1e6;

/** Pieces of a picture; a design with more of them would be slow to draw. */
export const MOST_PIECES = 2000;

/** The linework of a cell as one picture, and each image in it. */
export function picturesOf({ face, linework }: FoundCell, nextId: () => string): Picture[] {
  const images = linework.filter((item) => item.kind === 'image');
  const lines = linework.filter((item) => item.kind !== 'image');
  const drawn = lines.length > 0 ? drawnPicture(lines, face, nextId) : undefined;
  return [...(drawn ? [drawn] : []), ...images.flatMap((image) => imagePicture(image, face, nextId))];
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
function drawnPicture(linework: readonly Item[], face: Rect, nextId: () => string): Picture | undefined {
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
    name: 'Logo',
    width: rounded(box.width),
    height: rounded(box.height),
    linework: pieces,
  };
}

/** An image that reaches over the padding is as large as goes into its cell. */
function imagePicture(item: ImageItem, face: Rect, nextId: () => string): Picture[] {
  const { width, height, name, type, file, pixels } = item;
  if (!pixels || width <= 0 || height <= 0) return [];
  const placing = placeOf(item, innerOf(face));
  return [
    {
      id: nextId(),
      kind: 'picture',
      ...(placing ?? FILLING),
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
