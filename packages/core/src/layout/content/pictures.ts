import type { Finding } from '../../check';
import type { Picture } from '../../design';
import type { Rect } from '../../geometry';
import { readPictureValue } from '../../parameter';
import type { Values } from '../../parameter';
import { parametersOf } from '../../standard';
import type { BoxKind, PlacedBox, Room } from './kind';
import { within } from './within';

/** A picture where it came to stand; one that covers its cell is cut at `clip`. */
export interface PictureLayout extends PlacedBox<Picture> {
  clip?: Rect;
}

/**
 * The picture with the image that its parameter names: as wide as the picture is by itself, and as high as the image then is.
 * Without a value it stays what it is.
 */
function filled(content: Picture, values: Values): Picture {
  const image = content.parameter === undefined ? undefined : readPictureValue(values[content.parameter] ?? '');
  if (!image) return content;
  return { ...content, image, linework: [], height: (content.width * image.rows) / image.columns };
}

/** A picture stands in the room it has, in proportion. One that covers is placed over the whole cell and cut there. */
export const pictures: BoxKind<Picture, PictureLayout> = {
  extent: (content, { setting }) => {
    const { width, height } = filled(content, setting.values);
    return { width, height };
  },
  lay: (content, room) => {
    const { cell, inner, whole, setting } = room;
    const picture = filled(content, setting.values);
    const covers = picture.fitting === 'cover';
    const place = covers ? whole : inner;
    const scales = [place.width / picture.width, place.height / picture.height];
    const scale = covers
      ? Math.max(...scales)
      : picture.fitting === 'contain'
        ? Math.min(...scales)
        : Math.min(1, ...scales);
    const extent = { width: picture.width * scale, height: picture.height * scale };
    const placed: PictureLayout = { cell: cell.id, content: picture, ...within(place, extent, picture) };
    return { placed: covers ? { ...placed, clip: whole } : placed, findings: unfilled(picture, room) };
  },
};

/** What is said of a parameter that gives no picture, where the picture has nothing of its own to show instead. */
function unfilled(picture: Picture, { cell, setting }: Room): Finding[] {
  const { parameter: key, image, linework } = picture;
  if (key === undefined) return [];
  const where = { cell: cell.id, content: picture.id, parameter: key };
  const parameter = parametersOf(setting.standard).get(key);
  if (parameter?.kind !== 'picture') {
    return [
      {
        kind: 'unknown',
        weight: 'error',
        message: parameter
          ? `${parameter.name} is no picture`
          : `a picture asks for {${key}}, and there is no such parameter`,
        where,
        mend: 'choose another parameter for the picture',
      },
    ];
  }
  if (image || linework.length > 0) return [];
  return [{ kind: 'missing', weight: 'gap', message: `${parameter.name} is missing`, where }];
}
