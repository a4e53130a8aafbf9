import type { Item } from '../drawing';
import type { Linework } from './linework';

/** A piece as an item of a drawing, where it stands in its box; what it has of its own comes before the ink. */
export function asItem(
  piece: Linework,
  base: Pick<Item, 'layer' | 'part' | 'cell' | 'opacity' | 'under'>,
  ink: { width: number; colour?: string },
): Item {
  const own = piece.colour === undefined ? {} : { colour: piece.colour };
  if (piece.kind === 'fill') return { ...base, kind: 'fill', rings: piece.rings, ...own };
  const pen = { ...ink, ...own, ...(piece.width === undefined ? {} : { width: piece.width }) };
  if (piece.kind === 'stroke') return { ...base, kind: 'stroke', points: piece.points, closed: piece.closed, ...pen };
  const { centre, radius, from, to } = piece;
  return { ...base, kind: 'arc', centre: { x: centre[0], y: centre[1] }, radius, from, to, ...pen };
}
