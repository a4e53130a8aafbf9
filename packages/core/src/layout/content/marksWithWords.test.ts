import type { Content, ScaleBar, Signing } from '../../design';
import { composeSheet } from '../../compose';
import { STARTING_STANDARD } from '../../standard';
import { cell, designWith } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import { solveDesign } from '../solve';

const placed = { horizontal: 'left', vertical: 'bottom', rotation: 0 } as const;
const BAR: ScaleBar = {
  ...placed,
  id: 'bar',
  kind: 'scaleBar',
  parameter: 'sheet.scale',
  length: '50 mm',
  height: '1.5 mm',
  role: 'caption',
};
const LINE: Signing = {
  ...placed,
  id: 'line',
  kind: 'signing',
  form: 'line',
  size: '40 mm',
  pattern: '{sheet.checkedBy}',
  role: 'caption',
  pen: 'fine',
};

/** What a content alone in a cell of 70 x 40 mm becomes. */
function drawn(content: Content, values: Record<string, string>) {
  const design = designWith(
    { ...cell('c', [content]), padding: '1 mm' },
    { dock: 'lower-right', width: '70 mm', height: '40 mm' },
  );
  const on = { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };
  const layout = solveDesign(design, { size: 'ISO A1', values, ...on });
  // Without the outline of the panel, which the cell fills.
  const items = composeSheet(design, layout, { ...on, values }).items.filter(
    (item) => item.cell === 'c' && !(item.kind === 'stroke' && item.closed && item.layer === 'BLOCK-LINES'),
  );
  const said = layout.findings.map(({ weight, message }) => `${weight}: ${message}`);
  const texts = items.flatMap((item) => (item.kind === 'text' ? [item.text] : []));
  return { items, said, texts, at: layout.placed[0]!, cell: layout.cells.find(({ id }) => id === 'c')! };
}

describe('a scale bar', () => {
  test('shows real lengths at the scale of the sheet', () => {
    const { items, texts, said } = drawn(BAR, { 'sheet.scale': '1:100' });
    expect(said).toEqual([]);
    expect(texts).toEqual(['0', '1', '2', '3', '4 m']);
    // Four metres at 1:100 are forty millimetres.
    const ends = items.flatMap((item) => (item.kind === 'fill' ? item.rings.flat().filter((_, i) => i % 2 === 0) : []));
    const strokes = items.flatMap((item) => (item.kind === 'stroke' ? item.points.filter((_, i) => i % 2 === 0) : []));
    const xs = [...ends, ...strokes];
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(40, 9);
  });

  test('speaks feet where the scale does, and stands whole in its cell at any place', () => {
    for (const horizontal of ['left', 'centre', 'right'] as const) {
      const { texts, said, at, cell } = drawn(
        { ...BAR, horizontal, length: '2 in' },
        { 'sheet.scale': `1/8" = 1'-0"` },
      );
      expect([texts, said]).toEqual([['0', '4', '8', '12', '16 ft'], []]);
      expect(at.x).toBeGreaterThanOrEqual(cell.x + 1 - 1e-9);
      expect(at.x + at.width).toBeLessThanOrEqual(cell.x + cell.width - 1 + 1e-9);
    }
  });

  test('is left out, without a word, where a sheet has several scales or none by wording', () => {
    for (const scale of ['As shown', 'NTS'])
      expect(drawn(BAR, { 'sheet.scale': scale })).toMatchObject({ items: [], said: [] });
  });

  test('drops figures that would run into each other, but for the first and the last', () => {
    expect(drawn({ ...BAR, length: '12 mm' }, { 'sheet.scale': '1:1250' }).texts).toEqual(['0', '10 m']);
  });

  test('says that it is too long for its cell, that its parameter is none, that its role is none', () => {
    expect(drawn({ ...BAR, length: '100 mm' }, { 'sheet.scale': '1:100' }).said).toEqual([
      expect.stringMatching(/^error: the scale bar is [\d.]+ mm larger than its cell/),
    ]);
    expect(drawn({ ...BAR, parameter: 'sheet.size2' }, {}).said).toEqual([
      'error: the scale bar asks for {sheet.size2}, and there is no such parameter',
    ]);
    const { said, items } = drawn({ ...BAR, role: 'gone' }, { 'sheet.scale': '1:100' });
    expect(said).toEqual([expect.stringMatching(/no lettering role "gone"/)]);
    expect(items).toHaveLength(4);
  });
});

describe('a place to sign', () => {
  test('is a line over its words, within its cell', () => {
    const { items, texts, said } = drawn(LINE, { 'sheet.checkedBy': 'T. Lanyard' });
    expect([texts, said]).toEqual([['T. Lanyard'], []]);
    const [line, words] = [items.find(({ kind }) => kind === 'stroke'), items.find(({ kind }) => kind === 'text')];
    if (line?.kind !== 'stroke' || words?.kind !== 'text') throw new Error('line or words are missing');
    const [x0 = 0, y = 0, x1 = 0] = line.points;
    expect(x1 - x0).toBeCloseTo(40, 9);
    expect(y).toBeGreaterThan(words.at.y + words.height);
  });

  test('keeps its place without its words, and tells that they are missing', () => {
    const [bare, full] = [drawn(LINE, {}), drawn(LINE, { 'sheet.checkedBy': 'TL' })];
    expect(bare.at).toMatchObject({ y: full.at.y, height: full.at.height });
    expect(bare.said).toEqual(['gap: Checked by is missing in the signature line']);
  });

  test('is a circle of its exact diameter around its words', () => {
    const { items, said } = drawn({ ...LINE, form: 'circle', size: '36 mm', pattern: 'Seal' }, {});
    expect(said).toEqual([]);
    const [circle, words] = items;
    if (circle?.kind !== 'arc' || words?.kind !== 'text') throw new Error('circle or words are missing');
    expect(circle.radius).toBe(18);
    expect(words.at.x + words.width / 2).toBeCloseTo(circle.centre.x, 9);
    expect(words.at.y + words.height / 2).toBeCloseTo(circle.centre.y, 9);
  });

  test('says when its words are too wide for it, or it for its cell', () => {
    const long = { 'sheet.checkedBy': 'A name that takes much more room than a line' };
    expect(drawn({ ...LINE, size: '20 mm' }, long).said).toEqual([
      expect.stringMatching(/^error: the words of the signature line are [\d.]+ mm too wide for it$/),
    ]);
    expect(drawn({ ...LINE, form: 'circle', size: '50 mm', pattern: '' }, {}).said).toEqual([
      'error: the seal circle is 12.0 mm larger than its cell',
    ]);
  });
});
