import type { Drawing, TextItem } from '@mendrel/core';
import { writePdf } from '@mendrel/formats/pdf';
import { FontFileError, lettersOf, readTypeface, typefaceName } from '@mendrel/formats/typeface';

/** Letters of a line in the trial drawing. */
const LINE = 100;

/**
 * Measures every letter of a font file and embeds all of them in a PDF file, as sheets will do later with some of them.
 * @returns the name that the font gives itself
 * @throws FontFileError for a file in which any of that fails
 */
export async function soundTypeface(bytes: Uint8Array): Promise<string> {
  const name = typefaceName(bytes);
  const letters = lettersOf(bytes);
  const face = readTypeface(name, bytes);
  const items: TextItem[] = [];
  for (let i = 0; i < letters.length; i += LINE) {
    const text = letters.slice(i, i + LINE).join('');
    if (!Number.isFinite(face.advance(text))) throw new FontFileError(`${name} does not say how wide its letters are`);
    items.push({
      kind: 'text',
      layer: '0',
      part: 'block',
      text,
      at: { x: 10, y: 10 },
      height: 3.5,
      width: 100,
      widthFactor: 1,
      rotation: 0,
      typeface: name,
      role: '',
      align: 'left',
    });
  }
  const drawing: Drawing = { width: 210, height: 297, items };
  await writePdf([drawing], { fonts: new Map([[name, bytes]]), emPerCapital: () => 1.4, title: name });
  return name;
}
