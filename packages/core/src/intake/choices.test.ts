import type { Design, TickBoxes } from '../design';
import { cellsOf } from '../design';
import type { Item } from '../drawing';
import { STARTING_STANDARD } from '../standard';
import { oldBox, oldLine, oldText, readOldText as text } from '../testing/oldLinework';
import { TEST_TYPEFACES } from '../testing/typefaces';
import type { Corrections } from './corrections';
import { convertLegacy } from './convert';
import { optionsOf } from './options';

const WORDS = ['Preliminary', 'Tender', 'Construction'];
const CROSS = (x: number, y: number): Item[] => [oldLine([x, y, x + 3, y + 3]), oldLine([x, y + 3, x + 3, y])];

/** Boxes of 3 mm at 10, 40 … with their words behind them. */
const ROW = WORDS.map((_, i) => oldBox(10 + 30 * i, 10, 3, 3));
const ROW_WORDS = WORDS.map((words, i) => text(words, 14.5 + 30 * i, 10.2));

describe('boxes and the words beside them', () => {
  const ticked = (linework: Item[], words = ROW_WORDS) =>
    [...optionsOf(words, linework).options].flatMap(([own, box]) => (box.ticked ? [own.text] : []));

  test('words behind boxes are options, in reading order, and the boxes are no linework of the cell', () => {
    const { options, texts, linework } = optionsOf([...ROW_WORDS].reverse(), [...ROW, oldLine([0, 0, 50, 7])]);
    expect([...options.keys()].map((each) => each.text)).toEqual(WORDS);
    expect(texts).toHaveLength(3);
    expect(linework).toHaveLength(1);
  });

  test.each<[string, Item[]]>([
    ['a cross', [...ROW, ...CROSS(40, 10)]],
    ['a hook that runs over its edge', [...ROW, oldLine([40.5, 11, 41, 10.5, 43.5, 14])]],
    ['a filled area', [...ROW, { ...oldBox(40, 10, 3, 3), kind: 'fill', rings: [[40, 10, 43, 10, 43, 13, 40, 13]] }]],
  ])('what lies in a box ticks it: %s', (_how, linework) => {
    expect(ticked(linework)).toEqual(['Tender']);
  });

  test('a letter in a box ticks it and is no text of its own', () => {
    const { options, texts } = optionsOf([...ROW_WORDS, text('X', 40.6, 10.5, 2)], ROW);
    expect([...options.values()].map((box) => box.ticked)).toEqual([false, true, false]);
    expect(texts.map((each) => each.text)).toEqual(WORDS);
  });

  test('a box may be drawn of four lines, and boxes may stand behind their words', () => {
    const lines = ROW.flatMap(({ points: [x = 0, y = 0] }) => [
      oldLine([x, y, x + 3, y]),
      oldLine([x + 3, y, x + 3, y + 3]),
      oldLine([x + 3, y + 3, x, y + 3]),
      oldLine([x, y + 3, x, y]),
    ]);
    expect(optionsOf(ROW_WORDS, lines).options.size).toBe(3);
    const before = [text('Yes', 5.5, 10.2), text('No', 36.5, 10.2)];
    expect([...optionsOf(before, ROW.slice(0, 2)).options.keys()].map((each) => each.text)).toEqual(['Yes', 'No']);
  });

  test('boxes typed as letters, several of them in one line', () => {
    const { options } = optionsOf([text('[ ] Draft [x] Tender', 5, 5), text('☑ As built', 5, 1)], []);
    expect([...options].map(([own, box]) => [own.text, box.ticked])).toEqual([
      ['Draft', false],
      ['Tender', true],
      ['As built', true],
    ]);
  });

  test('what is larger than a box to tick, or has no words, is a picture', () => {
    expect(optionsOf(ROW_WORDS, [oldBox(10, 10, 12, 12), oldBox(40, 10, 12, 12)]).options.size).toBe(0);
    expect(optionsOf([text('Key plan', 60, 60)], ROW).options.size).toBe(0);
  });
});

describe('a choice in a block', () => {
  /** An A3 sheet with a block of three cells, of which the upper one holds boxes. */
  function converted(heading: string | undefined, words: readonly string[], corrections?: Corrections) {
    const block = [oldLine([225, 0, 225, 80]), oldLine([225, 80, 390, 80]), oldLine([225, 40, 390, 40])];
    const at = (item: Item): Item =>
      item.kind === 'stroke' ? { ...item, points: item.points.map((each, i) => each + (i % 2 ? 10 : 20)) } : item;
    const rows = words.flatMap((each, i): Item[] => [
      oldBox(230, 64 - 8 * i, 3, 3),
      oldText(each, 234.5 + 20, 64.2 - 8 * i + 10, 2.5),
      ...(i === 1 ? CROSS(230, 64 - 8 * i) : []),
    ]);
    const items: Item[] = [
      oldBox(-20, -10, 420, 297),
      oldBox(0, 0, 390, 277),
      ...block,
      ...rows,
      ...(heading === undefined ? [] : [oldText(heading, 228 + 20, 74 + 10, 1.8)]),
      oldText('SHEET NO', 228 + 20, 34 + 10, 1.8),
      oldText('A-101', 228 + 20, 4 + 10, 5),
      oldText('PROJECT', 310 + 20, 34 + 10, 1.8),
    ].map(at);
    const on = { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES, ...(corrections ? { corrections } : {}) };
    return convertLegacy(
      { items, source: { format: 'test', version: '', entities: items.length }, dropped: [] },
      'x',
      on,
    );
  }
  const ticksOf = (design: Design): TickBoxes[] =>
    [...cellsOf(design)].flatMap(({ cell }) => cell.contents.flatMap((each) => (each.kind === 'ticks' ? [each] : [])));

  test('the caption over it says which parameter ticks its boxes, and the ticked words are its value', () => {
    const { design, values, report } = converted('STATUS', WORDS);
    expect(ticksOf(design)).toMatchObject([
      {
        parameter: 'sheet.status',
        arrangement: 'below',
        side: '3 mm',
        boxes: WORDS.map((words) => ({ words, value: words })),
      },
    ]);
    expect(values['sheet.status']).toBe('Tender');
    expect(report.texts.filter((each) => each.kind === 'option').map((each) => each.parameter)).toEqual(
      WORDS.map(() => 'sheet.status'),
    );
    // The words stand within a millimetre of where they stood.
    const off = report.differences.flatMap(({ what, words }) => (what === 'text' ? [words] : []));
    expect(off.filter((each) => WORDS.some((words) => each.includes(words)))).toEqual([]);
  });

  test('without a caption, words for how far a sheet has come are its status', () => {
    expect(ticksOf(converted(undefined, WORDS).design)).toMatchObject([{ parameter: 'sheet.status' }]);
  });

  test('under a caption that nobody knows the boxes stay a picture, and a choice is proposed', () => {
    const { design, report } = converted('FIRE CLASS', ['EI 30', 'EI 60', 'EI 90']);
    expect(ticksOf(design)).toEqual([]);
    expect(report.proposals).toMatchObject([{ name: 'Fire class', choices: ['EI 30', 'EI 60', 'EI 90'] }]);
    const pictures = [...cellsOf(design)].flatMap(({ cell }) =>
      cell.contents.filter((each) => each.kind === 'picture'),
    );
    expect(pictures).toHaveLength(1);
  });

  test('what is said of one of the options counts for all of them; words set to be fixed are none', () => {
    const first = converted('FIRE CLASS', ['EI 30', 'EI 60', 'EI 90']);
    const [own] = first.report.texts.filter((each) => each.kind === 'option');
    const set = (kind: 'field' | 'note') =>
      converted('FIRE CLASS', ['EI 30', 'EI 60', 'EI 90'], {
        texts: { [String(own!.id)]: { kind, ...(kind === 'field' ? { parameter: 'sheet.status' } : {}) } },
      });
    expect(ticksOf(set('field').design)).toMatchObject([{ parameter: 'sheet.status' }]);
    expect(set('field').values['sheet.status']).toBe('EI 60');
    expect(set('note').report.texts.filter((each) => each.kind === 'option')).toHaveLength(2);
  });
});
