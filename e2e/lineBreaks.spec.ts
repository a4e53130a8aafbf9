import { breakLines, emPerCapital, textWidth } from '@mendrel/core';
import { shippedFontFiles } from '@mendrel/fonts/files';
import { readTypefaces } from '@mendrel/formats/typeface';
import { expect, goTo, test } from './test';

/** A small generator with a seed, so that the strings are the same in every run. */
function random(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return state / 4294967296;
  };
}

/** Words as they stand in title blocks, with what may come between and after them. */
const WORDS = [
  ...[
    'Ground',
    'floor',
    'plan',
    'East',
    'elevation',
    'waterside',
    'pontoon',
    'gangway',
    'Übersicht',
    'façade',
    'Ørsted',
  ],
  ...[
    'cross-section',
    'non-load-bearing',
    'and/or',
    'the',
    'of',
    'to',
    'at',
    'Trustees',
    'Brackenmouth',
    'Harbour',
    'A',
  ],
  ...['(existing)', '“new”', 'approx.', 'No.', 'stair', 'lift', 'roof', 'Œuvre', 'naïve', 'quay', 'balustrade', 'ramp'],
];
const BETWEEN = [' ', ' ', ' ', ' ', ', ', '; ', ' – ', ' & ', '. '];
const TYPEFACE = 'Barlow Semi Condensed';
/** Height of capitals in pixels. */
const CAPITALS = 24;

// Reference: Chromium breaks the same strings in boxes of the same widths, with the same typeface.
test('two hundred generated strings break into the lines that Chromium breaks them into', async ({ page }) => {
  const typeface = readTypefaces(shippedFontFiles()).get(TYPEFACE)!;
  const em = CAPITALS * emPerCapital(new Map([[TYPEFACE, typeface]]))(TYPEFACE);
  const next = random(20310402);
  const oneOf = (list: readonly string[]): string => list[Math.floor(next() * list.length)] ?? '';
  const cases = Array.from({ length: 200 }, () => {
    let text = oneOf(WORDS);
    for (let i = 2 + Math.floor(next() * 12); i > 0; i--) text += oneOf(BETWEEN) + oneOf(WORDS);
    return { text, width: 150 + Math.floor(next() * 500) };
  });
  await goTo(page, '/designs');
  const seen = await page.evaluate(
    async ({ all, size, family }) => {
      await document.fonts.load(`${size}px "${family}"`);
      const box = document.createElement('div');
      box.dataset['ofTest'] = 'yes';
      document.body.append(box);
      const look = `font: ${size}px "${family}"; white-space: pre-wrap; text-rendering: geometricPrecision; position: absolute`;
      return all.map(({ text, width }) => {
        box.style.cssText = `${look}; width: ${width}px`;
        box.textContent = text;
        const letters = box.firstChild!;
        const lines: string[] = [];
        let top: number | undefined;
        for (let i = 0; i < text.length; i++) {
          const range = document.createRange();
          range.setStart(letters, i);
          range.setEnd(letters, i + 1);
          const at = range.getClientRects()[0]?.top;
          // A blank at the end of a line hangs without a place of its own.
          if (at !== undefined && (top === undefined || Math.abs(at - top) > size / 2)) {
            top = at;
            lines.push('');
          }
          lines.push(`${lines.pop() ?? ''}${text[i] ?? ''}`);
        }
        return lines.map((line) => line.trimEnd());
      });
    },
    { all: cases, size: em, family: TYPEFACE },
  );
  const measure = (line: string): number => textWidth(typeface, line, CAPITALS, 1);
  const apart: string[] = [];
  cases.forEach(({ text, width }, i) => {
    const lines = breakLines(text, width, measure);
    // A line that is as wide as its box to the half per cent may go either way.
    const close = [...lines, ...(seen[i] ?? [])].some((line) => Math.abs(measure(line) / width - 1) < 0.005);
    if (!close && lines.join('\n') !== seen[i]?.join('\n'))
      apart.push(`${lines.join(' | ')}  <>  ${seen[i]?.join(' | ')}`);
  });
  expect(apart).toEqual([]);
});
