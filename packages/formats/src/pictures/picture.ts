import sharp from 'sharp';
import type { Sharp } from 'sharp';
import { isConverted, MOST_IMAGE_BYTES, MOST_PIXELS } from '../images';

/** A picture whose dots cannot be unpacked, in words. */
export class PictureError extends Error {
  override name = 'PictureError';
}

const DAMAGED = 'this picture is damaged or cut off; save it again as PNG or JPEG and choose it anew';

/** A chain of one picture that stops at the first fault instead of filling the rest with grey. */
const opened = (bytes: Uint8Array, failOn: 'error' | 'warning' = 'error'): Sharp =>
  sharp(bytes, { failOn, limitInputPixels: MOST_PIXELS, sequentialRead: true });

/**
 * Unpacks a PNG or JPEG file to its last dot.
 * @throws PictureError for one that is damaged or cut off
 */
export async function refuseDamagedPicture(bytes: Uint8Array): Promise<void> {
  try {
    const { format } = await opened(bytes).metadata();
    if (format !== 'png' && format !== 'jpeg') throw new PictureError('this is no PNG or JPEG picture');
    await opened(bytes).stats();
  } catch (error) {
    throw error instanceof PictureError ? error : new PictureError(DAMAGED);
  }
}

/**
 * A picture as the writer of PDF files takes it whatever it was written with: JPEG as it is, PNG packed anew with eight bits
 * a colour.
 * @throws PictureError for one that is damaged or cut off
 */
export async function plainPicture(type: 'png' | 'jpeg', bytes: Uint8Array): Promise<Uint8Array> {
  await refuseDamagedPicture(bytes);
  if (type === 'jpeg') return bytes;
  try {
    return await opened(bytes).toColourspace('srgb').png({ palette: false, progressive: false }).toBuffer();
  } catch {
    throw new PictureError(DAMAGED);
  }
}

/**
 * A TIFF or WebP image as PNG, with the size of its dots; anything else as it is.
 * @throws PictureError for one that is damaged or cut off
 */
export async function convertedPicture(bytes: Uint8Array): Promise<Uint8Array> {
  if (!isConverted(bytes)) return bytes;
  try {
    const { density } = await opened(bytes).metadata();
    // Dots that are missing at the end of a TIFF are no more than a warning to its reader.
    const chain = opened(bytes, 'warning').toColourspace('srgb').png();
    return await (density === undefined ? chain : chain.withMetadata({ density })).toBuffer();
  } catch {
    throw new PictureError(DAMAGED);
  }
}

/**
 * Dots in memory as a PNG file; undefined where they make no picture, or one of more bytes than a picture may have.
 * @param channels 1 for grey, 3 for colour, 4 with how opaque each dot is
 */
export async function pngOf(
  dots: Uint8Array | Uint8ClampedArray,
  width: number,
  height: number,
  channels: 1 | 3 | 4,
): Promise<Uint8Array | undefined> {
  if (dots.length < width * height * channels) return undefined;
  try {
    const file = await sharp(dots, { raw: { width, height, channels } }).png().toBuffer();
    return file.length <= MOST_IMAGE_BYTES ? file : undefined;
  } catch {
    return undefined;
  }
}
