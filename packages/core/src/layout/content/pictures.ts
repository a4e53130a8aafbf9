import type { Picture } from '../../design';
import type { Rect } from '../../geometry';
import { croppedSize } from './crop';
import { filled, unfilled } from './filledPicture';
import type { BoxKind, PlacedBox } from './kind';
import { within } from './within';

/** A picture where it came to stand; one that covers its cell is cut at `clip`. */
export interface PictureLayout extends PlacedBox<Picture> {
  clip?: Rect;
}

/** A picture stands in the room it has, in proportion. One that covers is placed over the whole cell and cut there. */
export const pictures: BoxKind<Picture, PictureLayout> = {
  extent: (content, { setting }) => {
    return croppedSize(filled(content, setting.values));
  },
  lay: (content, room) => {
    const { cell, inner, whole, setting } = room;
    const picture = filled(content, setting.values);
    const own = croppedSize(picture);
    const covers = picture.fitting === 'cover';
    const place = covers ? whole : inner;
    const scales = [place.width / own.width, place.height / own.height];
    const scale = covers
      ? Math.max(...scales)
      : picture.fitting === 'contain'
        ? Math.min(...scales)
        : Math.min(1, ...scales);
    const extent = { width: own.width * scale, height: own.height * scale };
    const placed: PictureLayout = { cell: cell.id, content: picture, ...within(place, extent, picture) };
    return {
      placed: covers ? { ...placed, clip: whole } : placed,
      findings: unfilled(picture, { cell: cell.id, content: picture.id }, setting),
    };
  },
};
