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
  /** Dots across an inch of paper, where the file says it. */
  dotsPerInch?: number;
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
    throw new ImageFileError('this is not a PNG, JPEG, TIFF, WebP or SVG picture, or it is damaged');
  }
  if (header.columns * header.rows > MOST_PIXELS) {
    throw new ImageFileError(
      `this image has ${header.columns} × ${header.rows} pixels, ${Math.round((header.columns * header.rows) / 1e6)} million; a picture may have ${MOST_PIXELS / 1e6} million`,
    );
  }
  return header;
}

/** Whether a file is a TIFF or WebP image, which becomes a PNG before it is kept. */
export function isConverted(bytes: Uint8Array): boolean {
  const start = String.fromCharCode(...bytes.subarray(0, 12));
  return start.startsWith('II*\0') || start.startsWith('MM\0*') || /^RIFF[^]{4}WEBP$/.test(start);
}

/** PNG (ISO/IEC 15948): the header chunk comes first and starts with width and height. */
function pngHeader(bytes: Uint8Array): ImageHeader | undefined {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes.length < 33 || String.fromCharCode(...bytes.subarray(12, 16)) !== 'IHDR') return undefined;
  const header: ImageHeader = { type: 'png', columns: view.getUint32(16), rows: view.getUint32(20) };
  // The chunk with the size of a dot stands before those with dots.
  for (let at = 8; at + 21 <= bytes.length;) {
    const [length, kind] = [view.getUint32(at), String.fromCharCode(...bytes.subarray(at + 4, at + 8))];
    if (kind === 'IDAT') break;
    // Dots a metre; what counts in no unit tells only how wide a dot is for its height.
    if (kind === 'pHYs') return bytes[at + 16] === 1 ? withDots(header, view.getUint32(at + 8) * 0.0254) : header;
    at += 12 + length;
  }
  return header;
}

/** Less, such as a dot a millimetre, is written by programs that know nothing of paper. */
const LEAST_DOTS = 50;

/** A header with a resolution that a picture on paper may have. */
const withDots = (header: ImageHeader, dotsPerInch: number): ImageHeader =>
  dotsPerInch >= LEAST_DOTS && dotsPerInch <= 10_000 ? { ...header, dotsPerInch } : header;

/** JPEG (ISO/IEC 10918): markers FF C0 to FF CF but for C4, C8 and CC start the frame, with its height and width. */
function jpegHeader(bytes: Uint8Array): ImageHeader | undefined {
  if (bytes[0] !== 0xff || bytes[1] !== 0xd8) return undefined;
  const at = (i: number): number => bytes[i] ?? 0;
  let dots = 0;
  for (let i = 2; i + 9 < bytes.length;) {
    if (at(i) !== 0xff) return undefined;
    const marker = at(i + 1);
    // Fill bytes, and markers that stand alone.
    if (marker === 0xff || marker === 0x01 || (marker >= 0xd0 && marker <= 0xd7)) {
      i += marker === 0xff ? 1 : 2;
      continue;
    }
    const frame = marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc;
    if (frame) {
      return withDots({ type: 'jpeg', columns: at(i + 7) * 256 + at(i + 8), rows: at(i + 5) * 256 + at(i + 6) }, dots);
    }
    // JFIF: dots to the inch in unit 1, to the centimetre in unit 2.
    if (marker === 0xe0 && at(i + 4) === 0x4a && at(i + 5) === 0x46) {
      const unit = { 1: 1, 2: 2.54 }[at(i + 11)] ?? 0;
      dots = unit * (at(i + 12) * 256 + at(i + 13));
    }
    const length = at(i + 2) * 256 + at(i + 3);
    if (length < 2) return undefined;
    i += 2 + length;
  }
  return undefined;
}
