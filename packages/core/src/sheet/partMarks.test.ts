import type { TextItem } from '../drawing';
import type { View } from '../placement';
import type { SheetRecord } from '../register';
import { STARTING_STANDARD } from '../standard';
import { cell, designWith } from '../testing/designs';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { drawSheet } from './drawSheet';
import { sheetsWithParts } from './partMarks';
import { sameSource, sheetSources } from './sheetSource';

const design = designWith(cell('strip'), { dock: 'right', width: '90 mm' });
const drawing = (x: number, y: number): NonNullable<View['drawing']> => ({
  linework: 'a'.repeat(64),
  name: 'plan.dxf',
  unit: 1,
  x,
  y,
});
const plan: View = {
  id: 'plan',
  name: 'Plan',
  realWidth: 30_000,
  realHeight: 20_000,
  scale: '1:100',
  module: 'A1',
  drawing: drawing(0, 0),
};
const stair: View = {
  id: 'stair',
  name: 'Stair',
  realWidth: 4000,
  realHeight: 3000,
  scale: '1:20',
  module: 'B2',
  partOf: 'plan',
  drawing: drawing(10_000, 5000),
};
const sheet = (number: string, views: View[]): SheetRecord => ({
  number,
  title: '',
  kind: 'plan',
  size: 'ISO A1',
  values: {},
  views,
});
const OF = { standard: STARTING_STANDARD, office: {}, project: {}, design };

function words(sheets: SheetRecord[], shown = sheets): string[] {
  const [source] = sheetSources(OF, shown, undefined, { sheets, designOf: () => design });
  const result = drawSheet(source!, TEST_TYPEFACES);
  if ('problem' in result) throw new Error(result.problem.message);
  return result.drawing.items.filter((item): item is TextItem => item.kind === 'text').map(({ text }) => text);
}

test('a part is marked where it is a part of, with its number and its sheet, in its place and at scale', () => {
  const [source] = sheetSources(OF, [sheet('A-101', [plan]), sheet('A-401', [stair])]);
  const result = drawSheet(source!, TEST_TYPEFACES);
  if ('problem' in result) throw new Error(result.problem.message);
  const [whole] = result.placed;
  const outline = result.drawing.items.find((item) => item.kind === 'stroke' && item.dashes !== undefined);
  // Worked by hand: 10 m and 5 m from the corner at 1:100, 4 m by 3 m large.
  const [x, y] = [whole!.x + 100, whole!.y + 50];
  expect(outline).toMatchObject({ points: [x, y, x + 40, y, x + 40, y + 30, x, y + 30], closed: true });
  expect(words([sheet('A-101', [plan]), sheet('A-401', [stair])])).toContain('B2/A-401');
});

test('sheets with parts on the same sheet share what that is drawn from, and show it as it is now', () => {
  const marks = (module: string): string[][] => {
    const sheets = [sheet('A-101', [plan]), sheet('A-102', [plan]), sheet('A-401', [{ ...stair, module }])];
    const [first, second] = sheetSources(OF, sheets);
    expect(first?.related?.[0]).toBe(second?.related?.[0]);
    return [first!, second!].map((source) => {
      const result = drawSheet(source, TEST_TYPEFACES);
      return 'problem' in result
        ? []
        : result.drawing.items.flatMap((item) => (item.kind === 'text' ? [item.text] : []));
    });
  };
  for (const words of marks('B2')) expect(words).toContain('B2/A-401');
  for (const words of marks('C3')) expect(words).toContain('C3/A-401');
});

test('on its own sheet the number alone is written; a round part has a round outline', () => {
  expect(words([sheet('A-101', [plan, { ...stair, module: 'C4' }])])).toContain('C4');
  const round = { ...stair, realHeight: 4000, drawing: { ...drawing(10_000, 5000), outline: 'circle' as const } };
  const [source] = sheetSources(OF, [sheet('A-101', [plan]), sheet('A-401', [round])]);
  const result = drawSheet(source!, TEST_TYPEFACES);
  const items = 'problem' in result ? [] : result.drawing.items;
  expect(items.some((item) => item.kind === 'stroke' && item.dashes !== undefined && item.points.length > 100)).toBe(
    true,
  );
});

test.each([
  ['has no place yet', { module: null }],
  ['is at no larger scale', { scale: '1:100' }],
  ['reaches out of the other', { drawing: drawing(28_000, 5000) }],
  ['shows another drawing', { drawing: { ...drawing(10_000, 5000), linework: 'b'.repeat(64) } }],
  ['is a part of nothing', { partOf: undefined }],
])('a view that %s is not marked', (_why, more) => {
  const part = { ...stair, ...more } as View;
  expect(words([sheet('A-101', [plan]), sheet('A-401', [part])])).not.toContain('B2/A-401');
});

test('in a set a part is marked as well whose own sheet is not in it', () => {
  const [whole, other] = [sheet('A-101', [plan]), sheet('A-401', [stair])];
  expect(words([whole, other], [whole])).toContain('B2/A-401');
});

test('a source is another one when a part of it moves, and the same when other sheets change', () => {
  const [whole, part] = [sheet('A-101', [plan]), sheet('A-401', [stair])];
  const sourceOf = (...others: SheetRecord[]) => sheetSources(OF, [whole, ...others])[0]!;
  const other = sheet('A-402', []);
  expect(sameSource(sourceOf(part, other), sourceOf(part, { ...other }))).toBe(true);
  expect(sameSource(sourceOf(part, other), sourceOf({ ...part }, other))).toBe(false);
});

test('without parts nothing is looked for', () => {
  const sheets = [sheet('A-101', [plan])];
  expect(sheetsWithParts(sheets)(sheets[0]!)).toEqual([]);
});
