import type { Piece } from '@mendrel/contract';
import { svgFile } from '@mendrel/formats/svg';
import type { Picture } from '../work/picture';

/** A picture of linework as a whole SVG file, its typefaces inside: what is shown as an image may fetch nothing. */
export function pieceFile(
  { width, height }: Piece,
  { markup, typefaces }: Picture,
  fontFiles: ReadonlyMap<string, Uint8Array>,
): string {
  const fonts = new Map<string, string>();
  for (const name of typefaces) {
    const bytes = fontFiles.get(name);
    if (bytes) fonts.set(name, Buffer.from(bytes).toString('base64'));
  }
  return svgFile({ width, height }, markup, fonts);
}
