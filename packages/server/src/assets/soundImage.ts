import { createHash } from 'node:crypto';
import type { ImageHeader } from '@mendrel/formats/images';
import { ImageFileError, readImageHeader } from '@mendrel/formats/images';
import { convertedPicture, PictureError, refuseDamagedPicture } from '@mendrel/formats/pictures';
import { Failure } from '../http/failure';

/** Images that were found sound, by SHA-256, the latest last: a document that travels alone may be sent again and again. */
const sound = new Set<string>();
const MOST_REMEMBERED = 1000;

/**
 * Unpacks an image to its last dot, so that nothing is kept that later readers of it choke on.
 * @throws Failure `invalid` with what is wrong with it
 */
export async function soundImage(bytes: Buffer): Promise<ImageHeader> {
  try {
    const header = readImageHeader(bytes);
    const sign = createHash('sha256').update(bytes).digest('hex');
    if (sound.has(sign)) return header;
    await refuseDamagedPicture(bytes);
    sound.add(sign);
    if (sound.size > MOST_REMEMBERED) sound.delete(sound.values().next().value ?? '');
    return header;
  } catch (error) {
    if (!(error instanceof ImageFileError || error instanceof PictureError)) throw error;
    throw new Failure('invalid', error.message, 'file');
  }
}

/**
 * A file as it is kept: a TIFF or WebP image as PNG.
 * @throws Failure `invalid` for one that is damaged
 */
export async function asKept(bytes: Buffer): Promise<Buffer> {
  try {
    return Buffer.from(await convertedPicture(bytes));
  } catch (error) {
    if (!(error instanceof PictureError)) throw error;
    throw new Failure('invalid', error.message, 'file');
  }
}
