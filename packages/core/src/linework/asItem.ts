import type { Item } from '../drawing';
import type { Linework } from './linework';

/** A piece as an item of a drawing, where it stands in its box. */
export function asItem(
  piece: Linework,
  base: Pick<Item, 'layer' | 'part' | 'cell' | 'opacity' | 'under'>,
  ink: { width: number; colour?: string },
): Item {
  if (piece.kind === 'stroke') return { ...base, kind: 'stroke', points: piece.points, closed: piece.closed, ...ink };
  if (piece.kind === 'fill') return { ...base, kind: 'fill', rings: piece.rings };
  const { centre, radius, from, to } = piece;
  return { ...base, kind: 'arc', centre: { x: centre[0], y: centre[1] }, radius, from, to, ...ink };
}
