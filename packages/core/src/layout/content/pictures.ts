import type { Cell, Picture } from '../../design';
import type { Rect } from '../../geometry';
import type { SheetLayout } from '../sheetLayout';
import { within } from './within';

/** Sets a picture into the room it has, in proportion. One that covers is placed over the whole cell and cut there. */
export function layPicture(cell: Cell, picture: Picture, inner: Rect, whole: Rect, into: SheetLayout): void {
  const room = picture.fitting === 'cover' ? whole : inner;
  const scales = [room.width / picture.width, room.height / picture.height];
  const scale =
    picture.fitting === 'cover'
      ? Math.max(...scales)
      : picture.fitting === 'contain'
        ? Math.min(...scales)
        : Math.min(1, ...scales);
  const extent = { width: picture.width * scale, height: picture.height * scale };
  const at = { cell: cell.id, picture, ...within(room, extent, picture) };
  into.pictures.push(picture.fitting === 'cover' ? { ...at, clip: whole } : at);
}
