import { BitArray, Code128Reader } from '@zxing/library';
import fc from 'fast-check';
import type { BarCode } from '../../design';
import { composeSheet } from '../../compose';
import { STARTING_STANDARD } from '../../standard';
import { cell, designWith } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import { solveDesign } from '../solve';
import type { PlacedOf } from './boxKinds';

const CODE: BarCode = {
  id: 'b',
  kind: 'barCode',
  horizontal: 'centre',
  vertical: 'bottom',
  rotation: 0,
  pattern: '{project.number}-{sheet.number}',
  width: '70 mm',
  height: '10 mm',
  role: 'caption',
};

/** A bar code in a cell of 100 mm, solved and drawn. */
function coded(more: Partial<BarCode>, values: Record<string, string>) {
  const design = designWith(
    { ...cell('c', [{ ...CODE, ...more }]), padding: '1 mm' },
    { dock: 'lower-right', width: '100 mm', height: '30 mm' },
  );
  const on = { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };
  const layout = solveDesign(design, { size: 'ISO A1', values, ...on });
  const placed = layout.placed[0] as PlacedOf<'barCode'>;
  const { items } = composeSheet(design, layout, { ...on, values });
  const said = layout.findings.map(({ weight, message }) => `${weight}: ${message}`);
  return { placed, said, items: items.filter((item) => item.cell === 'c') };
}

/** What a reader makes of the bars as they are drawn, from a line across them with eight dots to a step. */
function read({ placed, items }: ReturnType<typeof coded>): string {
  const dots = placed.steps.length * 8;
  const row = new BitArray(dots);
  const fill = items.find((item) => item.kind === 'fill');
  for (const [left = 0, , right = 0] of fill?.kind === 'fill' ? fill.rings : []) {
    const at = (mm: number): number => Math.round(((mm - placed.x) / placed.width) * dots);
    for (let dot = at(left); dot < at(right); dot++) row.set(dot);
  }
  return new Code128Reader().decodeRow(0, row).getText();
}

// Reference: @zxing/library, which reads bar codes here; another library writes them.
test.each([
  ['2417', 'A-101'],
  ['20001', 'B-10001'],
  ['7', 'x'],
])('the bars of %s and %s are read back', (project, sheet) => {
  const made = coded({}, { 'project.number': project, 'sheet.number': sheet });
  expect(made.said).toEqual([]);
  expect(read(made)).toBe(`${project}-${sheet}`);
});

test('whatever it can say is read back as it was meant', () => {
  const sayable = fc.string({
    unit: fc.integer({ min: 0x20, max: 0x7e }).map((code) => String.fromCharCode(code)),
    minLength: 1,
    maxLength: 30,
  });
  fc.assert(
    fc.property(
      sayable.filter((text) => text.trim() === text),
      (text) => {
        expect(read(coded({ pattern: '{sheet.number}', width: '98 mm' }, { 'sheet.number': text }))).toBe(text);
      },
    ),
    { numRuns: 60 },
  );
});

test('it stands at its exact size, with its words in the middle under it, or without', () => {
  const values = { 'project.number': '2417', 'sheet.number': 'A-101' };
  const { placed, items } = coded({}, values);
  const words = items.find((item) => item.kind === 'text');
  if (words?.kind !== 'text') throw new Error('its words are missing');
  expect(placed.width).toBe(70);
  expect(words).toMatchObject({ text: '2417-A-101' });
  expect(words.at.x + words.width / 2).toBeCloseTo(placed.x + 35, 9);
  const bare = coded({ role: undefined }, values);
  expect(bare.placed.height).toBe(10);
  expect(bare.items.filter(({ kind }) => kind === 'text')).toEqual([]);
});

test('what cannot be said or read is told, and nothing wrong is drawn', () => {
  const number = (text: string, more: Partial<BarCode> = {}) =>
    coded({ pattern: '{sheet.number}', ...more }, { 'sheet.number': text });
  expect(number('Größe').said).toEqual(['error: the bar code has only plain letters, figures and signs']);
  expect(number('Größe').items.filter(({ kind }) => kind === 'fill')).toEqual([]);
  expect(number('x'.repeat(49)).said).toEqual(['error: the bar code holds 49 signs; it may hold 48']);
  expect(number('A-101', { width: '20 mm' }).said).toEqual([
    expect.stringMatching(/^error: the bars of the bar code are 0\.\d+ mm wide, too narrow to be read off a print$/),
  ]);
  expect(coded({ pattern: '{sheet.number}' }, {}).said).toEqual(['gap: Sheet number is missing in the bar code']);
});
