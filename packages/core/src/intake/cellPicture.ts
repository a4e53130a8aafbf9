import type { Linework, Picture } from '../design';
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

/**
 * The linework of a cell as a picture. It keeps its place by standing in the middle, or by its distance from there; where it
 * reaches over the padding, in a box as large as the cell.
 */
export function pictureOf({ face, linework }: FoundCell, nextId: () => string): Picture | undefined {
  const bounds = around(linework.map(boundsOf));
  if (!bounds || bounds.width <= 0 || bounds.height <= 0) return undefined;
  const inner = {
    x: face.x + DEFAULT_PADDING,
    y: face.y + DEFAULT_PADDING,
    width: face.width - 2 * DEFAULT_PADDING,
    height: face.height - 2 * DEFAULT_PADDING,
  };
  const centred =
    Math.abs(bounds.x + bounds.width / 2 - face.x - face.width / 2) < ON_EDGE &&
    Math.abs(bounds.y + bounds.height / 2 - face.y - face.height / 2) < ON_EDGE &&
    bounds.width <= inner.width &&
    bounds.height <= inner.height;
  const within = isWithin(bounds, inner);
  const box = centred || within ? bounds : inner;
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
    horizontal: centred || !within ? 'centre' : 'left',
    vertical: 'middle',
    ...(centred || !within
      ? {}
      : shiftFrom(bounds.x - inner.x, bounds.y + bounds.height / 2 - inner.y - inner.height / 2)),
    rotation: 0,
    name: 'Logo',
    width: rounded(box.width),
    height: rounded(box.height),
    linework: pieces,
  };
}

const isWithin = (bounds: Rect, room: Rect): boolean =>
  bounds.x >= room.x &&
  bounds.y >= room.y &&
  bounds.x + bounds.width <= room.x + room.width &&
  bounds.y + bounds.height <= room.y + room.height;
