import * as fontkit from 'fontkit';
import type { Typeface, Typefaces } from '@mendrel/core';
import { pairwiseTypeface } from '@mendrel/core';

export class FontFileError extends Error {
  override name = 'FontFileError';
}

/** First four bytes of the outline formats that PDF and style sheets take: TrueType, its older name, and OpenType. */
const SIGNATURES = [0x00010000, 0x74727565, 0x4f54544f];

function openFont(what: string, bytes: Uint8Array): fontkit.Font {
  const signature = bytes.length < 4 ? 0 : new DataView(bytes.buffer, bytes.byteOffset).getUint32(0);
  if (!SIGNATURES.includes(signature)) {
    throw new FontFileError(`${what} is not a font file; choose a TrueType or OpenType file, .ttf or .otf`);
  }
  try {
    // The reader asks for a Node buffer in its types but only uses it as bytes, which is what a browser has.
    const font = fontkit.create(bytes as Buffer);
    if (!('layout' in font)) throw new FontFileError(`${what} is a collection of fonts, not a single one`);
    return font;
  } catch (error) {
    if (error instanceof FontFileError) throw error;
    throw new FontFileError(`${what} is not a font file that can be read: ${(error as Error).message}`);
  }
}

/**
 * The name that a font file gives itself, with its weight.
 * @throws FontFileError when the bytes are not a single font that letters can be set in
 */
export function typefaceName(bytes: Uint8Array): string {
  const font = openFont('the file', bytes);
  try {
    const name = (font.fullName || font.familyName || '')
      .replace(/[\u0000-\u001f"]/g, '')
      .replace(/ Regular$/, '')
      .trim();
    if (name === '') throw new FontFileError('the font does not say its name');
    if (!(font.layout('A-101').advanceWidth > 0)) throw new FontFileError(`${name} has no letters or figures`);
    return name.slice(0, 80);
  } catch (error) {
    if (error instanceof FontFileError) throw error;
    throw new FontFileError(`the font is damaged: ${(error as Error).message}`);
  }
}

/** Letters that are looked at in one font: those of all European scripts come first. */
const MOST_LETTERS = 3000;

/**
 * The letters that a font has, in the order of their codes; of a very large one the first few thousand.
 * @throws FontFileError when the font does not say
 */
export function lettersOf(bytes: Uint8Array): string[] {
  try {
    return openFont('the file', bytes)
      .characterSet.filter((code) => code > 0x20 && code <= 0x10ffff && (code < 0xd800 || code > 0xdfff))
      .sort((a, b) => a - b)
      .slice(0, MOST_LETTERS)
      .map((code) => String.fromCodePoint(code));
  } catch (error) {
    if (error instanceof FontFileError) throw error;
    throw new FontFileError(`the font is damaged: ${(error as Error).message}`);
  }
}

/**
 * Reads a TrueType or OpenType file for measuring.
 * @throws FontFileError when the bytes are not a single font
 */
export function readTypeface(name: string, bytes: Uint8Array): Typeface {
  const font = openFont(name, bytes);
  /** What asks the font's tables, each of which is read when it is first needed. */
  const asked = <T>(what: string, ask: () => T): T => {
    try {
      return ask();
    } catch (error) {
      throw new FontFileError(`${what} of ${name} cannot be read from its file: ${(error as Error).message}`);
    }
  };
  return pairwiseTypeface(
    asked('the measures', () => ({
      name,
      unitsPerEm: font.unitsPerEm,
      capHeight: font.capHeight || font.ascent * 0.7,
      descent: descentOf(font),
      stem: stemOf(font),
    })),
    (text) => asked(`the width of "${text}"`, () => font.layout(text).advanceWidth),
    (code) => asked('which letters it has', () => font.hasGlyphForCodePoint(code)),
  );
}

/** The letters that go below the base line; the depth a font states for its lines is often more than any letter has. */
const DESCENDING = ['g', 'j', 'p', 'q', 'y'].map((letter) => letter.charCodeAt(0));

function descentOf(font: fontkit.Font): number {
  const letters = DESCENDING.filter((code) => font.hasGlyphForCodePoint(code));
  if (letters.length === 0) return Math.abs(font.descent);
  return Math.max(0, ...letters.map((code) => -font.glyphForCodePoint(code).bbox.minY));
}

const L = 0x6c;

/** A small L without serifs is nothing but its stem. */
function stemOf(font: fontkit.Font): number {
  const box = font.hasGlyphForCodePoint(L) ? font.glyphForCodePoint(L).bbox : undefined;
  return box ? box.maxX - box.minX : font.unitsPerEm / 12;
}

/** Typefaces from font files by name. */
export function readTypefaces(files: ReadonlyMap<string, Uint8Array>): Typefaces {
  return new Map([...files].map(([name, bytes]) => [name, readTypeface(name, bytes)]));
}
