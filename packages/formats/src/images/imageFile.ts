/** A file that cannot be used as a picture, in words for the person who chose it. */
export class ImageFileError extends Error {
  override name = 'ImageFileError';
}

/** An image file as its own header describes it. */
export interface ImageHeader {
  type: 'png' | 'jpeg';
  /** Pixels. */
  columns: number;
  rows: number;
}

/** Pixels that one picture may have: a sheet of A1 at 300 to the inch has 70 million, a logo far fewer. */
export const MOST_PIXELS = 40_000_000;
/** Bytes that one image file may have. */
export const MOST_IMAGE_BYTES = 3_000_000;

const PNG = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a];

/**
 * Reads the kind and the pixels of a PNG or JPEG file from its header, without unpacking it.
 * @throws ImageFileError for anything else, and for images with too many bytes or pixels
 */
export function readImageHeader(bytes: Uint8Array): ImageHeader {
  if (bytes.length > MOST_IMAGE_BYTES) {
    throw new ImageFileError(
      `this image has ${(bytes.length / 1e6).toFixed(1)} MB; a picture may have ${MOST_IMAGE_BYTES / 1e6} MB`,
    );
  }
  const header = PNG.every((byte, i) => bytes[i] === byte) ? pngHeader(bytes) : jpegHeader(bytes);
  if (!header || header.columns < 1 || header.rows < 1) {
    throw new ImageFileError('this is not a PNG, JPEG or SVG picture, or it is damaged');
  }
  if (header.columns * header.rows > MOST_PIXELS) {
    throw new ImageFileError(
      `this image has ${header.columns} × ${header.rows} pixels, ${Math.round((header.columns * header.rows) / 1e6)} million; a picture may have ${MOST_PIXELS / 1e6} million`,
    );
  }
  return header;
}

/** PNG (ISO/IEC 15948): the header chunk comes first and starts with width and height. */
function pngHeader(bytes: Uint8Array): ImageHeader | undefined {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes.length < 33 || String.fromCharCode(...bytes.subarray(12, 16)) !== 'IHDR') return undefined;
  return { type: 'png', columns: view.getUint32(16), rows: view.getUint32(20) };
}

/** JPEG (ISO/IEC 10918): markers FF C0 to FF CF but for C4, C8 and CC start the frame, with its height and width. */
function jpegHeader(bytes: Uint8Array): ImageHeader | undefined {
  if (bytes[0] !== 0xff || bytes[1] !== 0xd8) return undefined;
  const at = (i: number): number => bytes[i] ?? 0;
  for (let i = 2; i + 9 < bytes.length;) {
    if (at(i) !== 0xff) return undefined;
    const marker = at(i + 1);
    // Fill bytes, and markers that stand alone.
    if (marker === 0xff || marker === 0x01 || (marker >= 0xd0 && marker <= 0xd7)) {
      i += marker === 0xff ? 1 : 2;
      continue;
    }
    const frame = marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc;
    if (frame) return { type: 'jpeg', columns: at(i + 7) * 256 + at(i + 8), rows: at(i + 5) * 256 + at(i + 6) };
    const length = at(i + 2) * 256 + at(i + 3);
    if (length < 2) return undefined;
    i += 2 + length;
  }
  return undefined;
}
