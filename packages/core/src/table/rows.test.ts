import { patternKeys, SHIPPED_PARAMETERS, tryOnValues } from '../parameter';
import type { OwnTable } from '.';
import {
  enteredRowsSchema,
  enteredTables,
  patternFor,
  renamedColumns,
  rowKeysOf,
  rowsOf,
  TABLE_KINDS,
  TABLES,
  tryOnRows,
} from '.';

const DOORS: OwnTable = {
  id: 'doors',
  name: 'Doors',
  columns: [
    { key: 'c1', name: 'Door' },
    { key: 'c2', name: 'Fire class' },
  ],
};

test.each(TABLES.filter((kind) => kind !== 'own'))(
  'the usual columns of %s ask only for what its rows have',
  (kind) => {
    const keys = rowKeysOf(kind, [])!.map(({ key }) => `row.${key}`);
    for (const { shows } of TABLE_KINDS[kind].columns) {
      for (const key of patternKeys(shows)) expect(keys.includes(key) || SHIPPED_PARAMETERS.has(key)).toBe(true);
    }
  },
);

test('people enter contacts, abbreviations and the office’s own tables; revisions and the index come by themselves', () => {
  expect(enteredTables([DOORS]).map(({ name }) => name)).toEqual(['Contacts', 'Abbreviations', 'Doors']);
});

test('a project’s rows stand in place of the office’s, table by table', () => {
  const office = { contacts: [{ firm: 'Office' }], key: [{ sign: 'FFL' }] };
  expect(rowsOf(office, { contacts: [{ firm: 'Project' }], key: [] })).toEqual({
    contacts: [{ firm: 'Project' }],
    key: [{ sign: 'FFL' }],
  });
  expect(rowsOf(office, {})).toBe(office);
});

test('every table has rows to be tried on, and none when nothing is known', () => {
  const sheet = tryOnValues('typical');
  const rows = tryOnRows('typical', [DOORS], sheet);
  expect(Object.keys(rows).sort()).toEqual([...TABLES.filter((kind) => kind !== 'own'), 'doors'].sort());
  for (const each of Object.values(rows)) expect(each.length).toBeGreaterThan(0);
  expect(tryOnRows('blank', [DOORS], {})).toEqual({});
});

describe('columns under new names', () => {
  test.each([
    ['stay what they are in another order', ['Fire class', 'Door'], ['c2', 'c1']],
    ['keep their data when one is renamed', ['Door', 'Class'], ['c1', 'c2']],
    ['get data of their own when they are new', ['Door', 'Fire class', 'Width'], ['c1', 'c2', 'c3']],
    ['lose only their own data when one is deleted', ['Fire class'], ['c2']],
  ])('%s', (_name, names, keys) => {
    const columns = renamedColumns(DOORS.columns, names);
    expect(columns.map(({ key }) => key)).toEqual(keys);
    expect(columns.map(({ name }) => name)).toEqual(names);
  });
});

test.each([
  ['revisions', 'Rev.', '{row.code}'],
  ['revisions', 'Date', '{row.date}'],
  ['revisions', 'Amendment', '{row.description}'],
  ['revisions', 'Zone', ''],
  ['index', 'Sheet', '{sheet.number}'],
  ['contacts', 'Company', '{row.firm}'],
  ['areas', 'Room', '{row.name}'],
] as const)('in a table of %s, a column headed %s shows “%s”', (kind, heading, shows) =>
  expect(patternFor(kind, heading)).toBe(shows),
);

test.each([
  ['too many rows', { contacts: Array.from({ length: 2001 }, () => ({})) }],
  ['a text that is too long', { contacts: [{ firm: 'x'.repeat(501) }] }],
  ['what is no text', { contacts: [{ firm: 1 }] }],
  ['too many tables', Object.fromEntries(Array.from({ length: 61 }, (_, i) => [`t${i}`, []]))],
])('entered rows with %s are refused', (_name, tables) =>
  expect(enteredRowsSchema.safeParse(tables).success).toBe(false),
);
