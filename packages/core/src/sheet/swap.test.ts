import type { SheetRecord } from '../register';
import { STARTING_STANDARD } from '../standard';
import { cell, designWith, field } from '../testing/designs';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { sheetSources } from './sheetSource';
import { solveSheet } from './drawSheet';
import { stateOfSheet, swapOf } from './swap';

const sheet: SheetRecord = {
  number: 'A-101',
  title: 'A title that needs some room for all of its words',
  kind: 'plan',
  size: 'ISO A1',
  values: {},
  views: [],
};
const source = (width: string) => {
  const design = designWith(cell('strip', [field('title', '{sheet.title}')]), { dock: 'right', width });
  return sheetSources({ design, standard: STARTING_STANDARD, office: {}, project: {} }, [sheet])[0]!;
};

const state = (width: string) => stateOfSheet(solveSheet(source(width), TEST_TYPEFACES));

test('a narrower strip makes a title spill, and leaves more of the sheet to draw on', () => {
  const { before, after, area } = swapOf(state('180 mm'), state('20 mm'));
  expect(before).toEqual([]);
  expect(after).toMatchObject([{ kind: 'spill', weight: 'error' }]);
  expect(area!.after.width - area!.before.width).toBeCloseTo(160, 6);
  expect(area!.after.height).toBe(area!.before.height);
});

test('the same design changes nothing', () => {
  expect(swapOf(state('90 mm'), state('90 mm'))).toEqual({ before: [], after: [] });
});
