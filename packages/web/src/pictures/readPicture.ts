import type { KeptImage } from '@mendrel/contract';
import type { Picture } from '@mendrel/core';
import { MM_PER, pictureValue, readPictureValue } from '@mendrel/core';
import { ImageFileError, isConverted, readImageHeader, readSvgPicture } from '@mendrel/formats/images';

/** A picture file as content, and what of it was left out. */
export interface ReadPicture {
  picture: Omit<Picture, 'id'>;
  dropped: string[];
}

/** Images that do not say how large they are on paper start this wide at most, in mm, as on a screen of so many dots to the inch. */
const MOST_WIDTH = 60;
const SCREEN = 96;
/** No picture is wider or higher, in mm, whatever its file says. */
const MOST_TRUE_SIDE = 5000;

/** Has an image file kept. @returns how documents refer to it, or why it is not kept in words */
type KeepImage = (file: File) => Promise<{ image: KeptImage; dotsPerInch: number | undefined } | { problem: string }>;

/**
 * Reads an image or SVG file into a picture. An image is unpacked once, so that a damaged one is told at once, and kept by
 * the server; the document refers to it.
 * @param asValue it becomes the value of a parameter: a drawing that is too large for one, or of which something would be left out,
 *   becomes an image
 * @returns the picture, or what is wrong with the file in words
 */
export async function readPicture(
  file: File,
  keep: KeepImage,
  asValue = false,
): Promise<ReadPicture | { problem: string }> {
  try {
    return await pictureOf(file, keep, asValue);
  } catch (error) {
    if (error instanceof ImageFileError) return { problem: error.message };
    throw error;
  }
}

async function pictureOf(file: File, keep: KeepImage, asValue: boolean): Promise<ReadPicture | { problem: string }> {
  const name = file.name.replace(/\.[^.]+$/, '').slice(0, 100);
  const base = { kind: 'picture', name, horizontal: 'left', vertical: 'top', rotation: 0, fitting: 'contain' } as const;
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (/\.svg$/i.test(file.name) || file.type === 'image/svg+xml') {
    const { width, height, linework, dropped } = readSvgPicture(new TextDecoder().decode(bytes));
    const picture = { ...base, width, height, linework };
    if (asValue && (dropped.length > 0 || !readPictureValue(pictureValue({ type: 'linework', ...picture }))))
      return pictureOf(await svgAsImage(file, width, height), keep, false);
    return { picture, dropped };
  }
  // The server unpacks what it makes a PNG of.
  if (!isConverted(bytes)) {
    const { type } = readImageHeader(bytes);
    try {
      (await createImageBitmap(new Blob([bytes], { type: `image/${type}` }))).close();
    } catch {
      throw new ImageFileError('this image is damaged; it cannot be unpacked');
    }
  }
  const kept = await keep(file);
  if ('problem' in kept) return kept;
  const { image, dotsPerInch } = kept;
  const { columns, rows } = image;
  const width =
    dotsPerInch === undefined
      ? Math.min(MOST_WIDTH, (columns * MM_PER.in) / SCREEN)
      : Math.min(1, MOST_TRUE_SIDE / ((Math.max(columns, rows) * MM_PER.in) / dotsPerInch)) *
        ((columns * MM_PER.in) / dotsPerInch);
  return {
    picture: {
      ...base,
      width,
      height: (width * rows) / columns,
      linework: [],
      image,
    },
    dropped: [],
  };
}

/** An SVG that becomes an image has so many dots across or up: enough for 200 mm at 300 to the inch. */
const SVG_DOTS = 2400;

/** An SVG as an image, drawn by the browser, which runs no scripts in it and fetches nothing for it. */
async function svgAsImage(file: File, width: number, height: number): Promise<File> {
  const scale = SVG_DOTS / Math.max(width, height);
  const [columns, rows] = [Math.max(1, Math.round(width * scale)), Math.max(1, Math.round(height * scale))];
  const address = URL.createObjectURL(new Blob([file], { type: 'image/svg+xml' }));
  try {
    const image = new Image(columns, rows);
    image.src = address;
    await image.decode().catch(() => {
      throw new ImageFileError('this drawing cannot be shown');
    });
    const canvas = document.createElement('canvas');
    [canvas.width, canvas.height] = [columns, rows];
    canvas.getContext('2d')?.drawImage(image, 0, 0, columns, rows);
    const blob = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
    if (!blob) throw new ImageFileError('this drawing cannot be made an image');
    return new File([blob], file.name.replace(/\.svg$/i, '.png'), { type: 'image/png' });
  } finally {
    URL.revokeObjectURL(address);
  }
}
