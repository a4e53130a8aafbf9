import * as fontkit from 'fontkit';
import type { Typeface, Typefaces } from '@mendrel/core';
import { pairwiseTypeface } from '@mendrel/core';

export class FontFileError extends Error {
  override name = 'FontFileError';
}

/**
 * Reads a TrueType or OpenType file for measuring.
 * @throws FontFileError when the bytes are not a single font
 */
export function readTypeface(name: string, bytes: Uint8Array): Typeface {
  let font: fontkit.Font;
  try {
    // The reader asks for a Node buffer in its types but only uses it as bytes, which is what a browser has.
    const created = fontkit.create(bytes as Buffer);
    if (!('layout' in created)) throw new FontFileError(`${name} is a collection of fonts, not a single one`);
    font = created;
  } catch (error) {
    if (error instanceof FontFileError) throw error;
    throw new FontFileError(`${name} is not a font file that can be read: ${(error as Error).message}`);
  }
  return pairwiseTypeface(
    {
      name,
      unitsPerEm: font.unitsPerEm,
      capHeight: font.capHeight || font.ascent * 0.7,
      descent: Math.abs(font.descent),
      stem: stemOf(font),
    },
    (text) => font.layout(text).advanceWidth,
  );
}

/** A small L without serifs is nothing but its stem. */
function stemOf(font: fontkit.Font): number {
  const box = font.layout('l').glyphs[0]?.bbox;
  return box ? box.maxX - box.minX : font.unitsPerEm / 12;
}

/** Typefaces from font files by name. */
export function readTypefaces(files: ReadonlyMap<string, Uint8Array>): Typefaces {
  return new Map([...files].map(([name, bytes]) => [name, readTypeface(name, bytes)]));
}
