import fc from 'fast-check';
import { composeSheet } from '../../compose';
import type { Notes } from '../../design';
import { readMarks } from '../../design';
import type { Item, TextItem } from '../../drawing';
import { LETTERING_TYPEFACE, LETTERING_TYPEFACE_STRONG, STARTING_STANDARD } from '../../standard';
import { cell, designWith } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import { solveDesign } from '../solve';

const ON = { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };
const notes = (typed: string, more: Partial<Notes> = {}): Notes => ({
  id: 'n',
  kind: 'notes',
  horizontal: 'left',
  vertical: 'top',
  rotation: 0,
  role: 'notes',
  strong: 'title',
  ...readMarks(typed),
  ...more,
});

/** Notes in a cell of 62 x 82 mm with 1 mm around it, whose corner is at 20, 10. */
function set(content: Notes) {
  const root = { ...cell('root', [content]), padding: '1 mm' };
  const design = designWith(root, { dock: 'lower-left', width: '62 mm', height: '82 mm' });
  const layout = solveDesign(design, { size: 'ISO A1', values: {}, ...ON });
  const items = composeSheet(design, layout, ON).items.filter(
    (item) => item.cell === 'root' && !(item.kind === 'stroke' && item.closed),
  );
  return { layout, lines: layout.texts[0]?.lines ?? [], items };
}
const words = (items: readonly Item[]): TextItem[] => items.filter((item): item is TextItem => item.kind === 'text');

test('words that stand out have the other role’s typeface at the same height, and stand where they stood', () => {
  const { items, lines } = set(notes('Do *not* scale'));
  expect(lines.map(({ text }) => text)).toEqual(['Do not scale']);
  const parts = words(items);
  expect(parts.map(({ text, height }) => [text, height])).toEqual([
    ['Do', 2.5],
    ['not', 2.5],
    ['scale', 2.5],
  ]);
  const [role, strong] = ['notes', 'title'].map(
    (id) => STARTING_STANDARD.roles.find((each) => each.id === id)!.typeface,
  );
  expect(parts.map(({ typeface }) => typeface)).toEqual([role, strong, role]);
  // Each part begins behind the one before it, with room for the space between them.
  parts.slice(1).forEach((part, i) => {
    const before = parts[i]!;
    const gap = part.at.x - before.at.x - before.width;
    expect(gap).toBeGreaterThan(0.2);
    expect(gap).toBeLessThan(1.5);
  });
});

test('a line under words is as long as they are, under their base line, however the notes are turned', () => {
  for (const rotation of [0, 90, 180, 270] as const) {
    const { items } = set(notes('See _sheet A-101_ first', { rotation }));
    const part = words(items).find(({ text }) => text === 'sheet A-101')!;
    const line = items.find((item) => item.kind === 'stroke');
    const [x0 = 0, y0 = 0, x1 = 0, y1 = 0] = line?.kind === 'stroke' ? line.points : [];
    expect(Math.hypot(x1 - x0, y1 - y0)).toBeCloseTo(part.width, 6);
    const [c, s] = [Math.cos((rotation * Math.PI) / 180), Math.sin((rotation * Math.PI) / 180)];
    // A quarter of the height under the base line, in the reading direction of the notes.
    expect([x0, y0]).toEqual([part.at.x + 0.625 * s, part.at.y - 0.625 * c].map((each) => expect.closeTo(each, 6)));
  }
});

test('lines of a list hang behind its labels, those of neighbours under each other', () => {
  const { lines } = set(
    notes('Notes\n1. Check all dimensions on site before any work is begun\n12. See the schedule of finishes\nThe end'),
  );
  const starts = lines.map(({ segments = [] }) =>
    segments.map(({ text, x }) => [text.split(' ')[0], Number(x.toFixed(3))]),
  );
  const [[, [, indent] = []] = []] = starts.slice(1);
  expect(indent).toBeGreaterThan(2);
  expect(starts[0]).toEqual([['Notes', 0]]);
  expect(starts[1]).toEqual([
    ['1.', 0],
    ['Check', indent],
  ]);
  // What is wrapped has no label and stands under the words.
  expect(starts[2]?.[0]?.[1]).toBe(indent);
  const second = starts.find(([first]) => first?.[0] === '12.');
  expect(second?.[1]).toEqual(['See', indent]);
  expect(starts.at(-1)).toEqual([['The', 0]]);
});

test('columns of neighbouring paragraphs stand under each other, and what wraps hangs behind the last one', () => {
  const { lines, layout } = set(
    notes(
      'Abbreviations\nFFL | m | finished floor level, of the floor as it is walked on when all is done\nCL | centre line\nEnd\nA | b',
    ),
  );
  expect(layout.findings).toEqual([]);
  const starts = lines.map(({ segments = [] }) => segments.map(({ text, x }) => [text.split(' ')[0], x] as const));
  const x = (word: string): number => starts.flat().find(([first]) => first === word)![1];
  const { width: abbreviation, x: from } = lines[1]!.segments![0]!;
  expect(from).toBe(0);
  // Twice the height of 2.5 mm behind the widest of those before.
  expect(x('m')).toBeCloseTo(abbreviation + 5, 6);
  expect(x('centre')).toBeCloseTo(x('m'), 6);
  expect(x('finished')).toBeGreaterThan(x('m') + 5);
  expect(lines[1]!.text).toMatch(/^FFL m finished floor/);
  expect(starts[2]).toEqual([[expect.any(String), x('finished')]]);
  for (const { width } of lines) expect(width).toBeLessThanOrEqual(60.01);
  // A paragraph without columns ends those that belong together.
  expect(x('b')).toBeLessThan(x('m'));
});

test('marked notes break where plain ones do, and no line is wider than its room unless it has to be', () => {
  const word = fc.constantFrom('plan', 'A-101', 'dimensions', 'of', '12.5 m²', 'and/or', 'superstructure');
  fc.assert(
    fc.property(fc.array(word, { minLength: 1, maxLength: 30 }), (list) => {
      const plain = set(notes(list.join(' ')));
      // Marked all over by a role with the same typeface, all is as wide as before.
      const marked = set(notes(`*${list.join(' ')}*`, { strong: 'notes' }));
      expect(marked.lines.map(({ text }) => text)).toEqual(plain.lines.map(({ text }) => text));
      marked.lines.forEach(({ width }, i) => expect(width).toBeCloseTo(plain.lines[i]!.width, 4));
      const mixed = set(notes(list.map((each, i) => (i % 3 === 0 ? `*${each}*` : each)).join(' ')));
      for (const { width, text } of mixed.lines) if (text.includes(' ')) expect(width).toBeLessThanOrEqual(60.02);
    }),
    { numRuns: 60 },
  );
});

test('letters are looked for in the typeface that they are set in', () => {
  const latin = { ...TEST_TYPEFACES.get(LETTERING_TYPEFACE)!, has: (code: number) => code < 0x250 };
  const typefaces = new Map([
    [LETTERING_TYPEFACE, latin],
    [LETTERING_TYPEFACE_STRONG, TEST_TYPEFACES.get(LETTERING_TYPEFACE_STRONG)!],
  ]);
  const findings = (typed: string) => {
    const root = cell('root', [notes(typed)]);
    const design = designWith(root, { dock: 'lower-left', width: '62 mm', height: '82 mm' });
    return solveDesign(design, { size: 'ISO A1', values: {}, standard: STARTING_STANDARD, typefaces }).findings;
  };
  expect(findings('Level *Ω* is fixed')).toEqual([]);
  expect(findings('Level Ω is *fixed*')).toEqual([expect.objectContaining({ kind: 'characters' })]);
});

test('notes that have no room are told by how much, and strong words of a role that is gone in words', () => {
  const long = set(notes(Array.from({ length: 30 }, (_, i) => `${i + 1}. A note that is *here*`).join('\n')));
  expect(long.layout.findings).toEqual([expect.objectContaining({ kind: 'spill', by: expect.any(Number) })]);
  const gone = set(notes('Do *not* scale', { strong: 'none' }));
  expect(gone.layout.findings).toEqual([
    expect.objectContaining({ kind: 'unknown', message: expect.stringContaining('strong words of the notes') }),
  ]);
  expect(words(gone.items).map(({ text }) => text)).toEqual(['Do', 'not', 'scale']);
});
