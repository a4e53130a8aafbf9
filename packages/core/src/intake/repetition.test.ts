import type { Rect } from '../geometry';
import { readOldText as text } from '../testing/oldLinework';
import type { FoundCell } from './builtDesign';
import { readCell } from './cellTexts';
import { readRepeated } from './repetition';

/** Cells beside one another, each with a caption over a value of the same height. */
function cellsOf(...pairs: readonly (readonly [string, string])[]): FoundCell[] {
  return pairs.map(([caption, value], i) => {
    const face: Rect = { x: 90 * i, y: 0, width: 90, height: 14 };
    const texts = readCell([text(caption, face.x + 2, 10), text(value, face.x + 2, 2)], face);
    return { face, texts, linework: [] };
  });
}
const read = (cells: FoundCell[]) => {
  readRepeated(cells);
  return cells.map(({ texts }) => texts.map(({ text: { text: words }, kind }) => `${words}: ${kind}`));
};

test('what stands where captions stand in other cells is one, whatever its words and however high it is', () => {
  const cells = cellsOf(['Scale', '1:50'], ['Date', '12/03/2031'], ['Munka', 'Könyvtár'], ['Rajzszám', 'E-12']);
  expect(read(cells).slice(2)).toEqual([
    ['Munka: caption', 'Könyvtár: note'],
    // That E-12 looks like the number of a sheet says nothing under words that nobody knows.
    ['Rajzszám: caption', 'E-12: note'],
  ]);
});

test('two cells show no habit, and text with figures heads nothing', () => {
  expect(read(cellsOf(['Munka', 'Könyvtár'], ['Vevő', 'Város'])).flat()).toEqual([
    'Munka: note',
    'Könyvtár: note',
    'Vevő: note',
    'Város: note',
  ]);
  const cells = cellsOf(['Scale', '1:50'], ['Date', '12/03/2031'], ['Client', 'Trust'], ['Unit 4', 'Harbour Road']);
  expect(read(cells)[3]).toEqual(['Unit 4: note', 'Harbour Road: note']);
});
