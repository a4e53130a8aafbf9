import type { View } from '../placement';
import type { SheetRecord } from '../register';
import { STARTING_STANDARD } from '../standard';
import { cell, designWith } from '../testing/designs';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { newerDrawings } from './newerDrawings';
import { solveSheet } from './drawSheet';
import { sameSource, sheetSources } from './sheetSource';

const [MARCH, MAY] = ['2026-03-02T09:00:00.000Z', '2026-05-11T16:30:00.000Z'];

const view = (id: string, letter: string, brought?: string, name = 'plan.dxf'): View => ({
  id,
  name: `View ${id}`,
  realWidth: 30_000,
  realHeight: 20_000,
  scale: '1:100',
  module: null,
  drawing: { linework: letter.repeat(64), name, unit: 1, x: 0, y: 0, ...(brought === undefined ? {} : { brought }) },
});
const sheet = (number: string, ...views: View[]): SheetRecord => ({
  number,
  title: '',
  kind: 'plan',
  size: 'ISO A1',
  values: {},
  views,
});

test.each<[string, SheetRecord[], Record<string, string> | undefined]>([
  [
    'a file that was brought again',
    [sheet('A-1', view('1', 'a', MARCH)), sheet('A-2', view('2', 'b', MAY))],
    { 1: 'A-2' },
  ],
  [
    'one that never said when it was brought',
    [sheet('A-1', view('1', 'a')), sheet('A-2', view('2', 'b', MAY))],
    { 1: 'A-2' },
  ],
  ['two of which neither says when', [sheet('A-1', view('1', 'a')), sheet('A-2', view('2', 'b'))], undefined],
  [
    'the same drawing, chosen at other times',
    [sheet('A-1', view('1', 'a', MARCH)), sheet('A-2', view('2', 'a', MAY))],
    undefined,
  ],
  [
    'files of other names',
    [sheet('A-1', view('1', 'a', MARCH)), sheet('A-2', view('2', 'b', MAY, 'roof.dxf'))],
    undefined,
  ],
  ['both on one sheet', [sheet('A-1', view('1', 'a', MARCH), view('2', 'b', MAY))], { 1: 'another view here' }],
  ['the sheet with the newer one', [sheet('A-2', view('2', 'b', MAY)), sheet('A-1', view('1', 'a', MARCH))], undefined],
])('%s', (_what, sheets, older) => {
  expect(newerDrawings(sheets)(sheets[0]!)).toEqual(older);
});

test('an older drawing is told on its sheet, by the sheet that shows the newer one; nothing else of the project changes', () => {
  const of = {
    standard: STARTING_STANDARD,
    office: {},
    project: {},
    design: designWith(cell('strip'), { dock: 'right', width: '90 mm' }),
  };
  const sheets = [sheet('A-1', view('1', 'a', MARCH)), sheet('A-2', view('2', 'b', MARCH, 'roof.dxf'))];
  const before = sheetSources(of, sheets);
  const after = sheetSources(of, [...sheets, sheet('A-3', view('3', 'c', MAY))]);
  const told = solveSheet(after[0]!, TEST_TYPEFACES);
  if ('problem' in told) throw new Error(told.problem.message);
  expect(told.findings).toContainEqual({
    kind: 'view',
    weight: 'note',
    message: 'View 1 shows an older plan.dxf than A-3 does',
    where: { view: '1' },
    mend: 'choose the newer drawing of that name',
  });
  const at = { position: before[0]!.position };
  expect(sameSource(before[0]!, { ...after[0]!, ...at })).toBe(false);
  expect(sameSource(before[1]!, { ...after[1]!, position: before[1]!.position })).toBe(true);
});
