import type { AnyPicture } from '../../design';
import type { Item } from '../../drawing';
import { placed } from '../../drawing';
import type { Rect } from '../../geometry';
import type { PlacedOf } from '../../layout';
import { asItem, scaledLinework } from '../../linework';
import type { OfficeStandard } from '../../standard';
import { penFor } from '../../standard';
import { inkOf, layerName, opacityOf } from '../layers';
import type { DrawKind } from './kind';

/** What a picture stands in: all that its items share. */
type Base = Pick<Item, 'layer' | 'part' | 'cell' | 'opacity' | 'under'>;

/** A picture in its cell. */
export const pictureItems: DrawKind<PlacedOf<'picture'>> = ({ content, cell, clip, ...place }, { standard }) =>
  drawnPicture(content, place, standard, { cell }, clip);

/**
 * The linework of a picture, scaled into its place, or its image.
 * @param of the cell that it stands in, and whether it lies under the drawing
 */
export function drawnPicture(
  picture: AnyPicture,
  { x, y, width, height }: Rect,
  standard: OfficeStandard,
  of: Pick<Base, 'cell' | 'under'>,
  clip?: Rect,
): Item[] {
  const base: Base = { layer: layerName(standard, 'pictures'), part: 'block', ...of, ...opacityOf(picture) };
  if (picture.image) {
    const { image, name } = picture;
    const file = 'asset' in image ? { asset: image.asset } : { data: image.data };
    return [{ ...base, kind: 'image', name, type: image.type, file, x, y, width, height, ...(clip ? { clip } : {}) }];
  }
  const ink = inkOf(standard, penFor(standard, 'fine').id);
  const scale = width / picture.width;
  return scaledLinework(picture.linework, scale).map((piece) => placed(asItem(piece, base, ink), 1, x, y));
}
