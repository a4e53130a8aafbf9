import type { Content, TableContent } from '../design';
import type { PlacedOf } from '../layout';
import type { SheetRecord } from '../register';
import { STARTING_STANDARD } from '../standard';
import { cell, designWith } from '../testing/designs';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { drawSheet } from './drawSheet';
import { sheetSources, withRows } from './sheetSource';

const table = (kind: TableContent['table'], ...shows: string[]): TableContent => ({
  id: 't',
  kind: 'table',
  table: kind,
  columns: shows.map((each) => ({ heading: 'H', shows: each, width: '*' })),
  rowHeight: '7 mm',
  rows: 0,
  heading: 'none',
  captionRole: 'caption',
  valueRole: 'value-small',
  horizontal: 'left',
  vertical: 'top',
  rotation: 0,
});
const source = (...contents: Content[]) => ({
  design: designWith(cell('c', contents), { dock: 'right', width: '120 mm' }),
  standard: STARTING_STANDARD,
  office: {},
  project: { 'project.name': 'Quay' },
  tables: { contacts: [{ firm: 'Tarn' }], key: [{ sign: 'FFL' }] },
});
const sheet = (number: string, values: Record<string, string> = {}): SheetRecord => ({
  number,
  title: `Title of ${number}`,
  kind: 'plan',
  size: 'ISO A1',
  values,
  views: [],
});

test('a sheet index says of each sheet what that sheet has, and nothing of the one it stands on', () => {
  const of = source(table('index', '{sheet.number}', '{sheet.subtitle}', '{project.name}'));
  const [first] = sheetSources(of, [sheet('A-1', { 'sheet.subtitle': 'Zone B' }), sheet('A-2')]);
  const drawn = drawSheet(first!, TEST_TYPEFACES);
  if ('problem' in drawn) throw new Error(drawn.problem.message);
  const placed = drawn.layout.placed[0] as PlacedOf<'table'>;
  const words = placed.texts.map(({ lines }) => lines.map(({ text }) => text).join(' '));
  expect(words).toEqual(['A-1', 'Zone B', 'Quay', 'A-2', '', 'Quay']);
});

test('sheets are drawn from the rows of those tables alone that their design lists', () => {
  expect(withRows(source(table('contacts', '{row.firm}')), []).tables).toEqual({ contacts: [{ firm: 'Tarn' }] });
  expect(withRows(source(), []).tables).toEqual({});
});

test('rows stay the same object as long as what the design lists of them is the same', () => {
  const of = source(table('index', '{sheet.number}'));
  const before = withRows(of, [sheet('A-1'), sheet('A-2')]).tables;
  const other = { ...of, tables: { ...of.tables, key: [] } };
  expect(withRows(other, [sheet('A-1', { 'sheet.drawnBy': 'MO' }), sheet('A-2')]).tables).toBe(before);
  expect(withRows(of, [sheet('A-1'), sheet('A-3')]).tables).not.toBe(before);
});
