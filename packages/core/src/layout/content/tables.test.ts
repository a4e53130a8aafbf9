import fc from 'fast-check';
import type { TableContent } from '../../design';
import type { Finding } from '../../check';
import type { Typefaces } from '../../lettering';
import { STARTING_STANDARD } from '../../standard';
import type { Row } from '../../table';
import { usualColumns } from '../../table';
import { cell, designWith, divided } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import { solveDesign } from '../solve';
import type { PlacedOf } from './boxKinds';

const TABLE: TableContent = {
  id: 't',
  kind: 'table',
  horizontal: 'left',
  vertical: 'bottom',
  rotation: 0,
  table: 'contacts',
  columns: [
    { heading: 'Discipline', shows: '{row.discipline}', width: '30 mm' },
    { heading: 'Firm', shows: '{row.firm}[, {row.phone}]', width: '*' },
  ],
  rowHeight: '7 mm',
  rows: 0,
  heading: 'top',
  captionRole: 'caption',
  valueRole: 'value-small',
};

/** A table in a cell of 120 by 60 mm, with some rows. */
function laid(
  more: Partial<TableContent>,
  rows: readonly Row[],
  standard = STARTING_STANDARD,
  typefaces: Typefaces = TEST_TYPEFACES,
): { table: PlacedOf<'table'>; findings: Finding[]; words: string[] } {
  const content = { ...TABLE, ...more };
  const design = designWith(cell('c', [content]), { dock: 'lower-right', width: '120 mm', height: '60 mm' });
  const tables = { [content.table === 'own' ? (content.own ?? '') : content.table]: rows };
  const on = { size: 'ISO A1', values: {}, standard, typefaces, tables };
  const layout = solveDesign(design, on);
  const table = layout.placed[0] as PlacedOf<'table'>;
  const words = table.texts.map(({ lines }) => lines.map(({ text }) => text).join(' ')).filter(Boolean);
  return { table, findings: layout.findings, words };
}
const firms = (count: number): Row[] =>
  Array.from({ length: count }, (_, i) => ({ discipline: `D${i + 1}`, firm: 'F' }));

test('a table that fills its cell does so to the hundredth, with as many rows as go in', () => {
  const { table, findings } = laid({}, firms(2));
  expect(findings).toEqual([]);
  expect([table.width, table.height]).toEqual([120, 60]);
  expect(table.columns).toEqual([30, 90]);
  // 60 mm hold eight rows of at least 7 mm, one of them the heading.
  expect(table.rows).toHaveLength(8);
  expect(table.rows.reduce((sum, { height }) => sum + height, 0)).toBeCloseTo(60, 6);
  expect(Math.min(...table.rows.map(({ y }) => y))).toBeCloseTo(table.y, 6);
});

test('a column shows a pattern of its row; what goes with missing data goes', () => {
  const { words } = laid({}, [{ discipline: 'Structure', firm: 'Tarn', phone: '1' }, { firm: 'Wick' }]);
  expect(words).toEqual(['Discipline', 'Firm', 'Structure', 'Tarn, 1', 'Wick']);
});

test('blank rows keep places for data, so that programs which read the sheet can fill them', () => {
  const { table } = laid({}, firms(1));
  const places = table.texts.filter(({ data }) => data).map(({ data }) => [data!.row, data!.column]);
  expect(places).toEqual(
    Array.from({ length: 7 }, (_, row) => [row, 0]).flatMap(([row]) => [
      [row, 0],
      [row, 1],
    ]),
  );
});

describe('more rows than room', () => {
  test('are an error as long as nobody chose what becomes of them', () => {
    const { findings, words } = laid({}, firms(9));
    expect(findings).toEqual([
      expect.objectContaining({ weight: 'error', message: '2 rows of the table of contacts have no room' }),
    ]);
    expect(words).toContain('D7');
    expect(words).not.toContain('D8');
  });

  test.each([
    ['first', ['D1', 'D6'], ['D7'], '3 more'],
    ['last', ['D4', 'D9'], ['D3'], '3 earlier'],
  ] as const)('where the %s are kept, a line says how many there are more', (more, there, gone, line) => {
    const { findings, words } = laid({ more }, firms(9));
    expect(findings).toEqual([expect.objectContaining({ weight: 'note' })]);
    for (const each of [...there, line]) expect(words).toContain(each);
    for (const each of gone) expect(words).not.toContain(each);
  });

  test('are set smaller where that gets them in', () => {
    const { table, findings, words } = laid({ more: 'smaller' }, firms(9));
    expect(findings).toEqual([expect.objectContaining({ kind: 'stepped', weight: 'note' })]);
    expect(words).toContain('D9');
    const heights = table.texts.filter(({ data }) => data).map(({ height }) => height);
    expect(Math.max(...heights)).toBeLessThan(2.5);
    expect(Math.min(...heights)).toBeGreaterThanOrEqual(STARTING_STANDARD.leastHeight);
  });

  test('stand in blocks side by side, one filled after the other', () => {
    const { table, findings } = laid({ beside: 2, columns: TABLE.columns.slice(1) }, firms(9));
    expect(findings).toEqual([]);
    expect(table.blockWidth).toBe(60);
    const rows = table.rows.filter(({ kind }) => kind === 'row').map(({ block }) => block);
    expect(rows).toEqual([0, 0, 0, 0, 0, 0, 0, 1, 1]);
  });
});

describe('rows that go on in another table', () => {
  /** Tables in cells of 60 by 60 mm beside each other, and which rows each shows. */
  function beside(contents: readonly Partial<TableContent>[], rows: readonly Row[]) {
    const cells = contents.map((more, i) => cell(`c${i}`, [{ ...TABLE, id: `t${i}`, ...more }]));
    const tracks = cells.map(() => ({ share: 1 }));
    const design = designWith(divided('root', 'columns', tracks, cells), {
      dock: 'lower-right',
      width: `${60 * cells.length} mm`,
      height: '60 mm',
    });
    const on = { size: 'ISO A1', values: {}, standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };
    const layout = solveDesign(design, { ...on, tables: { contacts: rows } });
    const shown = (layout.placed as PlacedOf<'table'>[]).map(({ texts }) =>
      texts.flatMap(({ data, lines }) => (data?.column === 0 && lines[0]?.text ? [lines[0].text] : [])),
    );
    const places = (layout.placed as PlacedOf<'table'>[]).map(({ texts }) =>
      texts.flatMap(({ data }) => (data?.column === 0 ? [data.row] : [])),
    );
    return { shown, places, findings: layout.findings };
  }
  const names = (from: number, to: number): string[] => Array.from({ length: to - from + 1 }, (_, i) => `D${from + i}`);

  test('stand there from the first one that has no place before, and are called by their number', () => {
    const { shown, places, findings } = beside([{ more: 'next' }, { goesOn: true }], firms(10));
    expect(shown).toEqual([names(1, 7), names(8, 10)]);
    expect(places[1]).toEqual([7, 8, 9, 10, 11, 12, 13]);
    expect(findings).toEqual([]);
  });

  test('go through several tables, of which the last may say how many there are more', () => {
    const { shown, findings } = beside(
      [{ more: 'next' }, { more: 'next', goesOn: true }, { more: 'first', goesOn: true }],
      firms(30),
    );
    expect(shown).toEqual([names(1, 7), names(8, 14), names(15, 20)]);
    expect(findings.map(({ message }) => message)).toEqual(['10 rows of the table of contacts have no room']);
  });

  test('are told where no table goes on with them, or the last one has no room', () => {
    const message = (count: number): string =>
      `${count} rows of the table of contacts have no room, and no other table goes on with them`;
    expect(beside([{ more: 'next' }, {}], firms(7)).findings).toEqual([]);
    const none = beside([{ more: 'next' }], firms(10));
    expect(none.findings).toEqual([
      expect.objectContaining({ weight: 'error', message: message(3), where: { cell: 'c0', content: 't0' } }),
    ]);
    expect(beside([{ more: 'next' }, { goesOn: true }], firms(20)).findings).toEqual([
      expect.objectContaining({ weight: 'error', message: '6 rows of the table of contacts have no room' }),
    ]);
    expect(beside([{ more: 'next' }, { more: 'next', goesOn: true }], firms(20)).findings).toEqual([
      expect.objectContaining({ message: message(6), where: { cell: 'c1', content: 't1' } }),
    ]);
  });
});

test('rows that grow are as high as their texts, and a long one breaks', () => {
  const firm = 'Tarn, Selvedge and Partners, Structural and Civil Engineers of Brackenmouth';
  const { table, findings } = laid({ growing: true }, [{ discipline: 'Structure', firm: `${firm} ${firm}` }, { firm }]);
  expect(findings).toEqual([]);
  const [one, two] = table.rows.filter(({ kind }) => kind === 'row');
  expect(one!.height).toBeGreaterThan(two!.height);
  expect(table.rows.reduce((sum, { height }) => sum + height, 0)).toBeCloseTo(60, 6);
});

test('a text that does not go into its column is said with what would mend it', () => {
  const { findings } = laid({}, [{ discipline: 'Wasserversorgungs'.repeat(3), firm: '' }]);
  expect(findings).toEqual([expect.objectContaining({ kind: 'spill', mend: expect.stringContaining('column wider') })]);
});

test.each<[string, Partial<TableContent>, string]>([
  [
    'asks for data that rows do not have',
    { columns: [{ heading: 'A', shows: '{row.colour}', width: '*' }] },
    'asks for {row.colour}',
  ],
  ['lists nothing yet', { table: 'own' }, 'not said which'],
  ['lists what is gone', { table: 'own', own: 'gone' }, 'no such table'],
  [
    'has no room for a column',
    { columns: [...TABLE.columns, { heading: 'X', shows: '', width: '90 mm' }] },
    'has no room for words',
  ],
])('a table that %s says so', (_name, more, message) => {
  const { findings } = laid(more, []);
  expect(findings.map((each) => each.message).join('; ')).toContain(message);
});

test('a table of the office has the columns that the office gave it', () => {
  const standard = {
    ...STARTING_STANDARD,
    tables: [{ id: 'doors', name: 'Doors', columns: [{ key: 'c1', name: 'Door' }] }],
  };
  const columns = [{ heading: 'Door', shows: '{row.c1}', width: '*' }];
  const { words, findings } = laid({ table: 'own', own: 'doors', columns }, [{ c1: 'D-01' }], standard);
  expect(findings).toEqual([]);
  expect(words).toEqual(['Door', 'D-01']);
});

test('whatever rows and columns there are, all texts lie within the table unless that is said', () => {
  const words = fc.string({ maxLength: 30 });
  const row = fc.record({ discipline: words, firm: words, phone: words });
  const option = fc.record({
    heading: fc.constantFrom('top', 'bottom', 'none'),
    rows: fc.constantFrom(0, 1, 4),
    beside: fc.constantFrom(undefined, 2, 3),
    growing: fc.constantFrom(undefined, true as const),
    more: fc.constantFrom(undefined, 'first', 'last', 'smaller'),
    title: fc.constantFrom(undefined, 'Title'),
  });
  fc.assert(
    fc.property(option, fc.array(row, { maxLength: 12 }), (options, rows) => {
      const given = Object.fromEntries(Object.entries(options).filter(([, value]) => value !== undefined));
      const { table, findings } = laid({ ...given, columns: usualColumns('contacts') }, rows);
      for (const { y, height } of table.rows) {
        expect(y).toBeGreaterThanOrEqual(table.y - 0.01);
        expect(y + height).toBeLessThanOrEqual(table.y + table.height + 0.01);
      }
      // Rows of a block do not lie over each other.
      for (let block = 0; block < table.blocks; block++) {
        const spans = table.rows
          .filter((each) => each.block === block && each.kind !== 'title')
          .sort((a, b) => a.y - b.y);
        spans.forEach((span, i) => {
          if (i > 0) expect(span.y).toBeGreaterThanOrEqual(spans[i - 1]!.y + spans[i - 1]!.height - 0.01);
        });
      }
      if (findings.some(({ weight }) => weight === 'error')) return;
      for (const { lines } of table.texts) {
        for (const { x, width } of lines) {
          expect(x).toBeGreaterThanOrEqual(table.x);
          expect(x + width).toBeLessThanOrEqual(table.x + table.width + 0.01);
        }
      }
    }),
    { numRuns: 150 },
  );
});

/** Typefaces whose letters reach under their base line by a third of their capitals. */
const DEEP: Typefaces = {
  get: (name) => {
    const typeface = TEST_TYPEFACES.get(name);
    return typeface && { ...typeface, descent: typeface.capHeight / 3 };
  },
};

test('wrapped texts keep clear of the lines of their row, descenders too, or are told to spill', () => {
  const heights = fc.double({ min: 4, max: 14, noNaN: true });
  const firm = fc.array(fc.constantFrom('quay', 'Engineers', 'Tarn', 'partnership'), { minLength: 1, maxLength: 14 });
  fc.assert(
    fc.property(heights, firm, (rowHeight, words) => {
      const row = { discipline: 'Geotechnical engineering', firm: words.join(' ') };
      const { table, findings } = laid(
        { rowHeight: `${rowHeight} mm`, rows: 1, heading: 'none' },
        [row],
        STARTING_STANDARD,
        DEEP,
      );
      if (findings.some(({ kind }) => kind === 'spill')) return;
      const [place] = table.rows;
      for (const { lines, height } of table.texts) {
        if (lines.length < 2) continue;
        expect(Math.min(...lines.map(({ y }) => y)) - height / 3).toBeGreaterThanOrEqual(place!.y - 0.01);
        expect(Math.max(...lines.map(({ y }) => y)) + height).toBeLessThanOrEqual(place!.y + place!.height + 0.01);
      }
    }),
  );
});
