import { createHash } from 'node:crypto';
import type { Design } from '@mendrel/core';
import { cellsOf } from '@mendrel/core';
import { ImageFileError, readImageHeader } from '@mendrel/formats/images';
import { PictureError, refuseDamagedPicture } from '@mendrel/formats/pictures';
import { Failure } from '../http/failure';

/** Pictures that were found sound, by SHA-256, the latest last: a design is saved again and again with the same ones. */
const sound = new Set<string>();
const MOST_REMEMBERED = 1000;

/**
 * Unpacks every picture of a design, so that nothing is stored that later readers of it choke on.
 * @throws Failure that names the picture
 */
export async function withSoundPictures(design: Design): Promise<Design> {
  for (const { cell } of cellsOf(design)) {
    for (const content of cell.contents) {
      if (content.kind !== 'picture' || !content.image) continue;
      const { type, data, columns, rows } = content.image;
      const sign = createHash('sha256').update(`${type} ${columns} ${rows} ${data}`).digest('hex');
      if (sound.has(sign)) continue;
      try {
        const bytes = Buffer.from(data, 'base64');
        const header = readImageHeader(bytes);
        if (header.type !== type || header.columns !== columns || header.rows !== rows) {
          throw new ImageFileError(`the file has ${header.columns} × ${header.rows} pixels as ${header.type}`);
        }
        await refuseDamagedPicture(bytes);
      } catch (error) {
        if (!(error instanceof ImageFileError || error instanceof PictureError)) throw error;
        throw new Failure('invalid', `the picture ${content.name || content.id}: ${error.message}`, content.id);
      }
      sound.add(sign);
      if (sound.size > MOST_REMEMBERED) sound.delete(sound.values().next().value ?? '');
    }
  }
  return design;
}
