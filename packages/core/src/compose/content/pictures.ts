import type { Linework } from '../../design';
import type { Item } from '../../drawing';
import { placed } from '../../drawing';
import type { PlacedOf } from '../../layout';
import { penFor } from '../../standard';
import { inkOf, layerName } from '../layers';
import type { DrawKind } from './kind';

/** The linework of a picture, scaled into its place, or its image. */
export const pictureItems: DrawKind<PlacedOf<'picture'>> = (at, { standard }) => {
  const { content: picture, cell, x, y, width, height, clip } = at;
  const base = { layer: layerName(standard, 'pictures'), part: 'block', cell } as const;
  if (picture.image) {
    const { image, name } = picture;
    const file = 'asset' in image ? { asset: image.asset } : { data: image.data };
    return [{ ...base, kind: 'image', name, type: image.type, file, x, y, width, height, ...(clip ? { clip } : {}) }];
  }
  const ink = inkOf(standard, penFor(standard, 'fine').id);
  const scale = width / picture.width;
  return picture.linework.map((piece) => placed(asItem(piece, base, ink), scale, x, y));
};

function asItem(
  piece: Linework,
  base: { layer: string; part: 'block'; cell: string },
  ink: { width: number; colour?: string },
): Item {
  if (piece.kind === 'stroke') return { ...base, kind: 'stroke', points: piece.points, closed: piece.closed, ...ink };
  if (piece.kind === 'fill') return { ...base, kind: 'fill', rings: piece.rings };
  const { centre, radius, from, to } = piece;
  return { ...base, kind: 'arc', centre: { x: centre[0], y: centre[1] }, radius, from, to, ...ink };
}
