import { STARTING_STANDARD } from '../standard';
import type { SheetRecord } from '../register';
import type { SheetRevision } from '../revision';
import { tablesOf, valuesOf } from '.';
import type { SheetSource } from '.';

const revision = (code: string, date: string, withdrawn = false): SheetRevision => ({
  code,
  date,
  description: `Change ${code}`,
  by: 'MO',
  checked: 'TL',
  withdrawn,
});

const sourceWith = (sheet: Partial<SheetRecord>): SheetSource => ({
  design: {} as SheetSource['design'],
  standard: STARTING_STANDARD,
  office: {},
  project: {},
  tables: { contacts: [{ firm: 'Tarn' }] },
  sheet: { number: 'A-101', title: 'Plan', kind: 'plan', size: 'ISO A1', values: {}, views: [], ...sheet },
  position: { index: 0, count: 1 },
});

test('a sheet shows its last revision, and lists its own beside the tables of its project', () => {
  const source = sourceWith({ revisions: [revision('P01', '2031-02-14'), revision('P02', '2031-03-21')] });
  expect(valuesOf(source)).toMatchObject({ 'sheet.revision': 'P02', 'sheet.revisionDate': '2031-03-21' });
  expect(tablesOf(source)).toMatchObject({
    contacts: [{ firm: 'Tarn' }],
    revisions: [{ code: 'P01', description: 'Change P01' }, { code: 'P02' }],
  });
});

test('what is withdrawn shows nowhere; a sheet without revisions has blanks', () => {
  const source = sourceWith({ revisions: [revision('P01', '2031-02-14'), revision('P02', '2031-03-21', true)] });
  expect(valuesOf(source)['sheet.revision']).toBe('P01');
  expect(tablesOf(source)['revisions']).toHaveLength(1);
  expect(valuesOf(sourceWith({}))['sheet.revision']).toBe('');
  expect(tablesOf(sourceWith({}))['revisions']).toEqual([]);
});

test('the date of a revision takes the form of the office', () => {
  const { standard, ...rest } = sourceWith({ revisions: [revision('A', '2031-03-21')] });
  const formed = { ...standard, wording: { ...standard.wording, dates: '2 April 2031' as const } };
  expect(valuesOf({ ...rest, standard: formed })['sheet.revisionDate']).toBe('21 March 2031');
});
