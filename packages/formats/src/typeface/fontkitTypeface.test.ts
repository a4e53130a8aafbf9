import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import * as hb from 'harfbuzzjs';
import { PARAMETERS, textWidth } from '@mendrel/core';
import { SHIPPED_TYPEFACES } from '@mendrel/fonts';
import { FONT_FOLDER, typefaces } from '../testing/fonts';
import { FontFileError, readTypeface, typefaceName } from './fontkitTypeface';

const TEXTS = [
  ...PARAMETERS.flatMap(({ typical, longest }) => [typical, longest]).filter((text) => text !== ''),
  'AVATAR Type Wa To. Ty, fi fl ffi',
  'GEZEICHNET Maßstab 1:100 Dessiné par Échelle',
  `1/8" = 1'-0"`,
  '0123456789',
];

/** The width of a text in units of the em, as HarfBuzz shapes it. */
function shapedWidth(font: hb.Font, text: string): number {
  const buffer = new hb.Buffer();
  buffer.addText(text);
  buffer.guessSegmentProperties();
  hb.shape(font, buffer);
  return buffer.getGlyphPositions().reduce((sum, each) => sum + each.xAdvance, 0);
}

// Reference library: harfbuzzjs shapes the same texts with the same files; half a percent is allowed.
test.each(SHIPPED_TYPEFACES)('widths of $name agree with HarfBuzz', ({ name, file }) => {
  const typeface = typefaces.get(name)!;
  const font = new hb.Font(new hb.Face(new hb.Blob(readFileSync(join(FONT_FOLDER, file)))));
  for (const text of TEXTS) expect(Math.abs(typeface.advance(text) / shapedWidth(font, text) - 1)).toBeLessThan(0.005);
});

test('capitals come out at the height that is asked for', () => {
  const face = typefaces.get('Barlow Semi Condensed')!;
  expect(textWidth(face, 'H', 7)).toBeCloseTo(2 * textWidth(face, 'H', 3.5), 9);
  expect(face.capHeight / face.unitsPerEm).toBeCloseTo(0.7, 2);
});

test('a file that is no font is refused in words', () => {
  expect(() => readTypeface('Broken', new Uint8Array([1, 2, 3]))).toThrow('Broken is not a font file');
});

test.each(SHIPPED_TYPEFACES)('the file of $name says its name', ({ name, file }) => {
  expect(typefaceName(new Uint8Array(readFileSync(join(FONT_FOLDER, file))))).toBe(name);
});

test('a damaged font is refused in words, wherever it breaks off', () => {
  const whole = new Uint8Array(readFileSync(join(FONT_FOLDER, 'BarlowSemiCondensed-Regular.ttf')));
  for (let size = 0; size < 4000; size += 97) {
    expect(() => typefaceName(whole.slice(0, size))).toThrow(FontFileError);
  }
});
