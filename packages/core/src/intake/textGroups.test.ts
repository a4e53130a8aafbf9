import type { Rect } from '../geometry';
import { readCell } from './cellTexts';
import type { LegacyText } from './legacyText';
import { readOldText } from '../testing/oldLinework';
import { textGroups } from './textGroups';

const cell: Rect = { x: 100, y: 50, width: 90, height: 30 };
let ids = 0;
const text = (
  words: string,
  along: number,
  up: number,
  height = 2.5,
  rotation: LegacyText['rotation'] = 0,
): LegacyText => readOldText(words, cell.x + along, cell.y + up, height, { id: ids++, rotation });
const groupsOf = (...texts: LegacyText[]) => textGroups(readCell(texts, cell), cell, 1.2);
const wordsOf = (groups: ReturnType<typeof groupsOf>): string[] =>
  groups?.parts.map(({ texts }) => texts.map((read) => read.text.text).join(' + ')) ?? [];

test('captions beside one another, each over its value, are columns that begin where the captions do', () => {
  const groups = groupsOf(
    text('DRAWN', 2, 20),
    text('MO', 2, 6),
    text('CHECKED', 32, 20),
    text('DATE', 62, 20),
    text('12/03/2031', 62, 6),
  );
  expect(groups?.axis).toBe('columns');
  expect(wordsOf(groups)).toEqual(['DRAWN + MO', 'CHECKED + ', 'DATE + 12/03/2031']);
  const faces = groups!.parts.map(({ face }) =>
    [face.x, face.width, face.height].map((each) => Math.round(each * 10) / 10),
  );
  expect(faces).toEqual([
    [100, 30.8, 30],
    [130.8, 30, 30],
    [160.8, 29.2, 30],
  ]);
});

test('values behind their captions, line by line, are rows, each with two columns', () => {
  const groups = groupsOf(
    text('Client:', 2, 22),
    text('Harbour Trust', 30, 22),
    text('Scale:', 2, 8),
    text('1:200', 30, 8),
  );
  expect(groups?.axis).toBe('rows');
  expect(wordsOf(groups)).toEqual(['Client: + Harbour Trust', 'Scale: + 1:200']);
  expect(groups!.parts.reduce((sum, { face }) => sum + face.height, 0)).toBeCloseTo(cell.height, 9);
  const [first] = groups!.parts;
  expect(wordsOf(textGroups(first!.texts, first!.face, 1.2))).toEqual(['Client:', 'Harbour Trust']);
});

test('"caption: value" in one line stays one line', () => {
  expect(groupsOf(text('SCALE: 1:50', 2, 8))).toMatchObject({ axis: 'columns' });
});

test('what stands under one another, or turned, stays in one cell', () => {
  expect(
    groupsOf(text('PROJECT', 2, 22), text('Ferry Terminal', 2, 10, 5), text('Harbour Road', 12, 4)),
  ).toBeUndefined();
  expect(groupsOf(text('DRAWN', 2, 6, 2.5, 90), text('DATE', 32, 6, 2.5, 90))).toBeUndefined();
});
