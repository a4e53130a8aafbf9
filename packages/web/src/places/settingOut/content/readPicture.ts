import type { KeptImage } from '@mendrel/contract';
import type { Picture } from '@mendrel/core';
import { ImageFileError, readImageHeader, readSvgPicture } from '@mendrel/formats/images';

/** A picture file as content, and what of it was left out. */
export interface ReadPicture {
  picture: Omit<Picture, 'id'>;
  dropped: string[];
}

/** Images start this wide at most, in mm; the natural size of a file is often that of a screen. */
const MOST_WIDTH = 60;

/** Has an image file kept. @returns how documents refer to it, or why it is not kept in words */
type KeepImage = (file: File) => Promise<KeptImage | { problem: string }>;

/**
 * Reads a PNG, JPEG or SVG file into a picture. An image is unpacked once, so that a damaged one is told at once, and kept by
 * the server; the document refers to it.
 * @returns the picture, or what is wrong with the file in words
 */
export async function readPicture(file: File, keep: KeepImage): Promise<ReadPicture | { problem: string }> {
  try {
    return await pictureOf(file, keep);
  } catch (error) {
    if (error instanceof ImageFileError) return { problem: error.message };
    throw error;
  }
}

async function pictureOf(file: File, keep: KeepImage): Promise<ReadPicture | { problem: string }> {
  const name = file.name.replace(/\.[^.]+$/, '').slice(0, 100);
  const base = { kind: 'picture', name, horizontal: 'left', vertical: 'top', rotation: 0, fitting: 'contain' } as const;
  const bytes = new Uint8Array(await file.arrayBuffer());
  if (/\.svg$/i.test(file.name) || file.type === 'image/svg+xml') {
    const { width, height, linework, dropped } = readSvgPicture(new TextDecoder().decode(bytes));
    return { picture: { ...base, width, height, linework }, dropped };
  }
  const { type, columns, rows } = readImageHeader(bytes);
  try {
    (await createImageBitmap(new Blob([bytes], { type: `image/${type}` }))).close();
  } catch {
    throw new ImageFileError('this image is damaged; it cannot be unpacked');
  }
  const image = await keep(file);
  if ('problem' in image) return image;
  const width = Math.min(MOST_WIDTH, (columns * 25.4) / 96);
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
