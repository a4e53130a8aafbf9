import type { Picture } from '../../design';
import type { Rect } from '../../geometry';
import type { BoxKind, PlacedBox } from './kind';
import { within } from './within';

/** A picture where it came to stand; one that covers its cell is cut at `clip`. */
export interface PictureLayout extends PlacedBox<Picture> {
  clip?: Rect;
}

/** A picture stands in the room it has, in proportion. One that covers is placed over the whole cell and cut there. */
export const pictures: BoxKind<Picture, PictureLayout> = {
  extent: ({ width, height }) => ({ width, height }),
  lay: (content, { cell, inner, whole }) => {
    const covers = content.fitting === 'cover';
    const room = covers ? whole : inner;
    const scales = [room.width / content.width, room.height / content.height];
    const scale = covers
      ? Math.max(...scales)
      : content.fitting === 'contain'
        ? Math.min(...scales)
        : Math.min(1, ...scales);
    const extent = { width: content.width * scale, height: content.height * scale };
    const placed: PictureLayout = { cell: cell.id, content, ...within(room, extent, content) };
    return { placed: covers ? { ...placed, clip: whole } : placed };
  },
};
