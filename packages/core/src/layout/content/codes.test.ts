import jsqr from 'jsqr';
import type { CodeContent } from '../../design';
import { composeSheet } from '../../compose';
import { STARTING_STANDARD } from '../../standard';
import { cell, designWith } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import { solveDesign } from '../solve';
import type { PlacedOf } from './boxKinds';

const CODE: CodeContent = {
  id: 'q',
  kind: 'code',
  horizontal: 'right',
  vertical: 'bottom',
  rotation: 0,
  pattern: '{project.number}/{sheet.number}[/{sheet.revision}]',
  side: '20 mm',
  level: 'M',
};

/** A code in a cell of 30 mm, solved and drawn. */
function coded(more: Partial<CodeContent>, values: Record<string, string>) {
  const design = designWith(
    { ...cell('c', [{ ...CODE, ...more }]), padding: '1 mm' },
    { dock: 'lower-right', width: '30 mm', height: '30 mm' },
  );
  const on = { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };
  const layout = solveDesign(design, { size: 'ISO A1', values, ...on });
  const placed = layout.placed[0] as PlacedOf<'code'>;
  const { items } = composeSheet(design, layout, { ...on, values });
  return { placed, findings: layout.findings, fill: items.find((item) => item.kind === 'fill' && item.cell === 'c') };
}

/** Dots of a code as a camera sees them, from the areas that are drawn. */
function read({ placed, fill }: ReturnType<typeof coded>): string | undefined {
  const dots = 300;
  const image = new Uint8ClampedArray(dots * dots * 4).fill(255);
  const at = (mm: number, from: number): number => Math.round(((mm - from) / placed.width) * dots);
  for (const ring of fill?.kind === 'fill' ? fill.rings : []) {
    const [left = 0, bottom = 0, right = 0, , , top = 0] = ring;
    for (let y = dots - at(top, placed.y); y < dots - at(bottom, placed.y); y++)
      for (let x = at(left, placed.x); x < at(right, placed.x); x++)
        image.fill(0, (y * dots + x) * 4, (y * dots + x) * 4 + 3);
  }
  return jsqr(image, dots, dots)?.data;
}

// Reference: jsqr, which reads codes and writes none.
test.each([
  ['all of it', { 'project.number': '2417', 'sheet.number': 'A-101', 'sheet.revision': 'P02' }, '2417/A-101/P02'],
  ['no revision', { 'project.number': '2417', 'sheet.number': 'A-101' }, '2417/A-101'],
  ['letters of other scripts', { 'project.number': 'Größe', 'sheet.number': 'План' }, 'Größe/План'],
])('a code with %s is read back as it was meant', (_name, values, words) => {
  const made = coded({}, values);
  expect(made.findings.filter(({ weight }) => weight === 'error')).toEqual([]);
  expect(read(made)).toBe(words);
});

test.each(['L', 'M', 'Q', 'H'] as const)('one of level %s is read back, and stands at its exact side', (level) => {
  const made = coded({ level }, { 'project.number': '2417', 'sheet.number': 'A-101' });
  expect(read(made)).toBe('2417/A-101');
  expect([made.placed.width, made.placed.height]).toEqual([20, 20]);
});

test('without anything to say there is none, and what is missing is told', () => {
  const { fill, findings } = coded({}, {});
  expect(fill).toBeUndefined();
  expect(findings).toEqual([
    expect.objectContaining({ weight: 'gap', message: 'Project number is missing in the QR code' }),
    expect.objectContaining({ weight: 'gap', message: 'Sheet number is missing in the QR code' }),
  ]);
});

test.each([
  ['is too small to be read', { side: '5 mm' }, 'too small to be read off a print'],
  ['is larger than its cell', { side: '40 mm' }, 'the QR code is 12.0 mm larger than its cell'],
  ['says too much', { pattern: 'x'.repeat(601) }, 'holds 601 bytes; it may hold 600'],
  ['says too much in letters of other scripts', { pattern: '図'.repeat(201), level: 'H' as const }, 'holds 603 bytes'],
  ['asks for what nobody knows', { pattern: '{sheet.colour, or red}' }, 'there is no such parameter'],
])('a code that %s is an error', (_name, more, message) => {
  const { findings } = coded(more, { 'project.number': '2417', 'sheet.number': 'A-101' });
  expect(
    findings
      .filter(({ weight }) => weight === 'error')
      .map((each) => each.message)
      .join(),
  ).toContain(message);
});
