import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { solveDesign } from '../layout';
import { fillPattern } from '../parameter';
import { STARTING_STANDARD } from '../standard';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { designDifferences } from './difference';
import { DESIGN_VERSION, migrateDesign, withReservedAsCalled } from './migrate';
import type { Design } from './schema';
import { readDesign } from './validate';
import { cellsOf } from './visit';

/** A document as a Mendrel of that version stored it. Kept as it was: a new version gets a file of its own. */
const stored = (version: number): Design =>
  JSON.parse(readFileSync(join(__dirname, 'fixtures', `design-${version}.json`), 'utf8')) as Design;
const OLDER = Array.from({ length: DESIGN_VERSION - 1 }, (_, i) => i + 1);

test.each(OLDER)('a document of version %i is read with everything in it, and solved', (version) => {
  const old = stored(version);
  expect(old.version).toBe(version);
  const kept = structuredClone(old);
  const design = readDesign(old);
  expect(design.version).toBe(DESIGN_VERSION);
  // Columns of tables and brackets in patterns are written otherwise; what they say stands in the tests below.
  const rewritten = /another columns|“Phone|scale bar|reserved/i;
  expect(designDifferences(old, design).filter(({ words }) => !rewritten.test(words))).toEqual([]);
  // Migrating is pure: what was stored is as it was.
  expect(old).toEqual(kept);
  for (const { size } of design.sizes) {
    const layout = solveDesign(design, { size, values: {}, standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES });
    expect(layout.findings.filter(({ weight }) => weight === 'error')).toEqual([]);
  }
});

test('columns by key become patterns that show the same, and a table of the office’s own is one of nobody yet', () => {
  const old = structuredClone(stored(2)) as unknown as { panels: { root: object }[] };
  const table = (kind: string, ...keys: string[]) => ({
    id: 'c',
    kind: 'table',
    table: kind,
    columns: keys.map((key) => ({ heading: key, key, width: '20 mm' })),
  });
  old.panels[0]!.root = { contents: [table('revisions', 'revision', 'date', 'zone'), table('other', 'date')] };
  const { panels } = migrateDesign(old) as unknown as { panels: { root: { contents: object[] } }[] };
  expect(panels[0]!.root.contents).toMatchObject([
    {
      table: 'revisions',
      columns: [
        { heading: 'revision', shows: '{row.code}', width: '20 mm' },
        { heading: 'date', shows: '{row.date}' },
        { heading: 'zone', shows: '' },
      ],
    },
    { table: 'own' },
  ]);
});

test('a scale bar that was a sign becomes one of the sheet’s scale, no longer than it was', () => {
  const design = readDesign(stored(4));
  const bars = [...cellsOf(design)].flatMap(({ cell }) => cell.contents.filter(({ kind }) => kind === 'scaleBar'));
  expect(bars).toMatchObject([
    { parameter: 'sheet.scale', length: '8 * (5 mm)', height: '0.3 * (5 mm)', role: 'value', vertical: 'bottom' },
  ]);
  const values = { 'sheet.scale': '1:100' };
  const on = { size: design.sizes[0]!.size, values, standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };
  const [bar] = solveDesign(design, on).placed.filter(({ content }) => content.kind === 'scaleBar');
  expect(bar!.width).toBeGreaterThan(20);
  expect(bar!.width).toBeLessThan(50);
});

test('reserved modules are called as the office calls them, where they were', () => {
  expect(stored(5).modules.reserved).toEqual(['C1', 'A4']);
  expect(readDesign(stored(5)).modules.reserved).toEqual(['A1', 'C4']);
  const old = { columns: 4, rows: 3, reserved: ['A4', 'C1'] };
  expect(withReservedAsCalled(old)).toEqual(old);
  const named = (from: string, by: string) =>
    (withReservedAsCalled({ ...old, naming: { from, by } }) as typeof old).reserved;
  expect(named('lower-left', 'column-row')).toEqual(['D1', 'A3']);
  expect(named('lower-right', 'along-rows')).toEqual(['1', '12']);
  expect(named('upper-right', 'along-columns')).toEqual(['3', '10']);
});

test('brackets that were words stay words', () => {
  const patterns = [...cellsOf(readDesign(stored(3)))].flatMap(({ cell }) =>
    cell.contents.flatMap((content) => (content.kind === 'field' ? [content.pattern] : [])),
  );
  const phone = patterns.find((pattern) => pattern.startsWith('Phone'))!;
  expect(fillPattern(phone, { 'office.phone': '1' }).text).toBe('Phone [1]');
});

test.each([DESIGN_VERSION, DESIGN_VERSION + 1, 0, -1, 1.5, '1', null, undefined])(
  'a document that says version %p is left as it is',
  (version) => {
    const document = { version, name: 'Own' };
    expect(migrateDesign(document)).toBe(document);
  },
);
