import { STARTING_STANDARD } from '../standard';
import { oldBox, oldLine, oldText } from '../testing/oldLinework';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { convertLegacy } from './convert';
import type { Corrections, Lessons } from './corrections';
import { NO_LESSONS } from './corrections';
import { teachableBy } from './teachable';

/** An A1 sheet with a block of two cells: the upper one holds some texts, the lower one a number. */
function converted(words: readonly [string, number, number][], corrections: Corrections = {}) {
  const items = [
    oldBox(0, 0, 841, 594),
    oldBox(20, 10, 811, 574),
    oldLine([651, 10, 651, 70]),
    oldLine([651, 40, 831, 40]),
    oldLine([651, 70, 831, 70]),
    ...words.map(([text, up, height]) => oldText(text, 653, 40 + up, height)),
    oldText('SHEET NO', 653, 36, 1.8),
    oldText('A-101', 653, 14, 7),
  ];
  const drawing = { items, source: { format: 'dxf', version: '', entities: items.length }, dropped: [] };
  return convertLegacy(drawing, 'old', { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES, corrections }).report;
}

/** What setting one text to a parameter may teach. */
function teachable(
  words: readonly [string, number, number][],
  set: string,
  parameter: string,
  lessons: Lessons = NO_LESSONS,
) {
  const { id } = converted(words).texts.find(({ text }) => text === set)!;
  const corrections: Corrections = { texts: { [id]: { kind: 'field', parameter } } };
  const report = converted(words, corrections);
  return { report, found: teachableBy(corrections, report, lessons) };
}

const NAME_AND_ADDRESS = [
  ['PROJECT', 26, 1.8],
  ['Ferry Terminal', 16, 5],
  ['4 Harbour Road', 4, 5],
] as const satisfies [string, number, number][];

test('an address under a name stays the only address: the name keeps its parameter, and nothing is taught', () => {
  const { report, found } = teachable(NAME_AND_ADDRESS, '4 Harbour Road', 'project.address');
  const is = (words: string) => report.texts.find(({ text }) => text === words)?.parameter;
  expect([is('Ferry Terminal'), is('4 Harbour Road')]).toEqual(['project.name', 'project.address']);
  expect(found).toEqual([]);
});

test('a caption that nobody knows may be taught by the one value under it', () => {
  const words = [
    ['PENCILLED BY', 26, 1.8],
    ['MO', 6, 3.5],
  ] satisfies [string, number, number][];
  const { found } = teachable(words, 'MO', 'sheet.drawnBy');
  expect(found).toEqual([{ caption: 'PENCILLED BY', sign: 'pencilled by', parameter: 'sheet.drawnBy', known: null }]);
  const taught = { ...NO_LESSONS, captions: { 'pencilled by': 'sheet.drawnBy' } };
  expect(teachable(words, 'MO', 'sheet.drawnBy', taught).found).toEqual([]);
});

test('a meaning that ships is named before it is overruled', () => {
  const words = [
    ['TITLE', 26, 1.8],
    ['Ferry Terminal', 6, 5],
  ] satisfies [string, number, number][];
  const { found } = teachable(words, 'Ferry Terminal', 'project.name');
  expect(found).toEqual([{ caption: 'TITLE', sign: 'title', parameter: 'project.name', known: 'sheet.title' }]);
});
