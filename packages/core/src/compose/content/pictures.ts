import type { AnyPicture } from '../../design';
import type { Item } from '../../drawing';
import { placed } from '../../drawing';
import type { Rect } from '../../geometry';
import type { PlacedOf } from '../../layout';
import { uncropped } from '../../layout';
import { asItem, scaledLinework } from '../../linework';
import { clipped } from '../../sourceDrawing';
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
  shown: Rect,
  standard: OfficeStandard,
  of: Pick<Base, 'cell' | 'under'>,
  clip?: Rect,
): Item[] {
  const { x, y, width, height } = uncropped(shown, picture.crop);
  // What covers its cell is cut there as well, and lies all over it.
  const window = clip ?? (picture.crop ? shown : undefined);
  const cut = (item: Item): Item[] => (window ? clipped(item, window) : [item]);
  const base: Base = { layer: layerName(standard, 'pictures'), part: 'block', ...of, ...opacityOf(picture) };
  if (picture.image) {
    const { image, name } = picture;
    const file = 'asset' in image ? { asset: image.asset } : { data: image.data };
    return cut({ ...base, kind: 'image', name, type: image.type, file, x, y, width, height });
  }
  const ink = inkOf(standard, penFor(standard, 'fine').id);
  const scale = width / picture.width;
  return scaledLinework(picture.linework, scale).flatMap((piece) => cut(placed(asItem(piece, base, ink), 1, x, y)));
}
