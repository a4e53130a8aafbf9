import { newParameter } from '../parameter';
import { recipientWords } from '../issue';
import type { SheetIssue } from '../issue';
import type { View } from '../placement';
import type { SheetRecord } from '../register';
import { STARTING_STANDARD } from '../standard';
import { cell, designWith } from '../testing/designs';
import { differencesOf, tablesOf, valuesOf } from '.';
import type { SheetSource } from '.';

const blankDesign = () => designWith(cell('only'), { dock: 'right', width: '100 mm' });
const issue = (date: string, purpose: string): SheetIssue => ({ date, purpose, set: 'Tender', recipient: 'All' });
const sourceWith = (sheet: Partial<SheetRecord>, more: Partial<SheetSource> = {}): SheetSource => ({
  design: blankDesign(),
  standard: STARTING_STANDARD,
  office: {},
  project: {},
  sheet: { number: 'A-101', title: 'Plan', kind: 'plan', size: 'ISO A1', values: {}, views: [], ...sheet },
  position: { index: 0, count: 1 },
  ...more,
});
const view = (more: Partial<View> = {}): View => ({
  id: 'v1',
  name: 'Ground floor',
  realWidth: 20_000,
  realHeight: 9000,
  scale: '1:50',
  module: 'B1',
  ...more,
});
const words = (before: SheetSource, after: SheetSource): string[] =>
  differencesOf(before, after).map((each) => each.words);

test('a sheet shows the issue that it went out with last, and lists all of them', () => {
  const source = sourceWith({ issues: [issue('2031-03-21', 'Co-ordination'), issue('2031-04-02', 'Tender')] });
  expect(valuesOf(source)).toMatchObject({ 'sheet.issueDate': '2031-04-02', 'sheet.issuePurpose': 'Tender' });
  expect(tablesOf(source)['issues']).toHaveLength(2);
  expect(valuesOf(sourceWith({}))['sheet.issueDate']).toBe('');
});

test('recipients in one line: each firm once, people where no firm is named', () => {
  const each = (firm: string, person: string) => ({ firm, person, copies: 'PDF' });
  expect(recipientWords([each('Tarn', 'A'), each('Tarn', 'B'), each('', 'J. Wick')])).toBe('Tarn, J. Wick');
  expect(recipientWords([])).toBe('');
});

describe('what is another on a sheet that was issued twice', () => {
  test('nothing but the issue itself, its place and its set is nothing', () => {
    const before = sourceWith({ issues: [issue('2031-03-21', 'A')] }, { project: { 'set.name': 'A' } });
    const after = sourceWith(
      { issues: [issue('2031-04-02', 'B')] },
      { project: { 'set.name': 'B' }, position: { index: 3, count: 8 }, tables: { issues: [{}], recipients: [{}] } },
    );
    expect(words(before, after)).toEqual([]);
  });

  test('data, size, views and tables are told, each in its own words', () => {
    const before = sourceWith({
      views: [view(), view({ id: 'v2', name: 'Gallery' })],
      values: { 'sheet.status': 'Draft' },
    });
    const after = sourceWith(
      {
        title: 'Plan, east',
        size: 'ISO A0',
        views: [view({ scale: '1:100' }), view({ id: 'v3', name: 'Roof' })],
      },
      { tables: { contacts: [{ firm: 'Tarn' }] } },
    );
    expect(words(before, after)).toEqual([
      'Sheet title: “Plan” is “Plan, east” now',
      'Status: “Draft” is nothing now',
      'ISO A1 is ISO A0 now',
      'Ground floor is 1:100 now, was 1:50',
      'Roof is new',
      'Gallery is gone',
      'other rows in its tables',
    ]);
    expect(words(sourceWith({ views: [view()] }), sourceWith({ views: [view({ module: 'C2' })] }))).toEqual([
      'Ground floor stands elsewhere',
    ]);
  });

  test('another design, another revision of it and another look of the standard are told', () => {
    const design = blankDesign();
    const named = { ...design, name: 'Other' };
    expect(words(sourceWith({}), sourceWith({}, { design: named }))).toEqual([
      `the design ${design.name} is Other now`,
    ]);
    const wider = { ...design, modules: { columns: 9, rows: 9 } };
    expect(words(sourceWith({}), sourceWith({}, { design: wider }))).toEqual([
      `another revision of the design ${design.name}`,
    ]);
    const standard = { ...STARTING_STANDARD, pens: STARTING_STANDARD.pens.slice(1) };
    expect(words(sourceWith({}), sourceWith({}, { standard }))).toEqual(['another revision of the office standard']);
  });

  test('a parameter with another key is the same by its id; one that is gone is told with its value', () => {
    const zone = newParameter({ id: 'zone', key: 'sheet.zone', name: 'Zone' });
    const standardWith = (...parameters: (typeof zone)[]) => ({ ...STARTING_STANDARD, parameters });
    const before = sourceWith({ values: { 'sheet.zone': 'North' } }, { standard: standardWith(zone) });
    const renamed = standardWith({ ...zone, key: 'sheet.place' });
    expect(words(before, sourceWith({ values: { 'sheet.place': 'North' } }, { standard: renamed }))).toEqual([]);
    expect(words(before, sourceWith({}, { standard: standardWith() }))).toEqual(['Zone: “North” is gone']);
  });
});
