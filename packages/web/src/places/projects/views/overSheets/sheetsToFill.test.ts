import type { Sheet } from '@mendrel/contract';
import type { Arrangement, View } from '@mendrel/core';
import { moduleGrid, USUAL_KINDS } from '@mendrel/core';
import { answerTo } from './arrangeTask';
import { changeFor, looseViews, sheetsToFill, takenBack } from './sheetsToFill';

const grid = moduleGrid({ x: 0, y: 0, width: 400, height: 300 }, { columns: 4, rows: 3 });

const viewOf = (id: string, more: Partial<View> = {}): View => ({
  id,
  name: `Detail ${id}`,
  realWidth: 10_000,
  realHeight: 10_000,
  scale: '1:100',
  module: null,
  ...more,
});

const sheetOf = (id: string, number: string, views: View[]): Sheet => ({
  id,
  projectId: 'p',
  number,
  title: 'Details',
  kind: 'detail',
  size: 'ISO A1',
  design: null,
  values: {},
  views,
  revisions: [],
  issues: [],
  changedSince: false,
  version: 3,
});

const sheets = [
  sheetOf('one', 'A-501', [viewOf('view-1', { module: 'A1', locked: true }), viewOf('view-2')]),
  sheetOf('two', 'A-502', [viewOf('view-1', { module: 'B2' }), viewOf('view-2', { scale: '1:50', module: 'A1' })]),
];
const filled = sheets.map((sheet) => ({ sheet, grid }));

const arranged = (
  further: boolean,
  scale?: string,
): { arrangement: Arrangement; loose: ReturnType<typeof looseViews> } => {
  const loose = looseViews(filled, [], 'scale', scale);
  const [only] = answerTo({
    of: 'ways',
    views: loose,
    sheets: sheetsToFill(filled),
    further: further ? grid : undefined,
    ways: ['in-order'],
  }).ways;
  return { arrangement: only!.arrangement, loose };
};

test('locked views stay, and views of two sheets that have the same id are told apart', () => {
  const loose = looseViews(filled, [], 'scale');
  expect(loose.map(({ view, group }) => [view.id, group])).toEqual([
    ['view-2', '1:100'],
    ['view-1', '1:100'],
    ['two view-2', '1:50'],
  ]);
  expect(sheetsToFill(filled).map(({ fixed }) => fixed.map(({ id }) => id))).toEqual([['view-1'], []]);
});

test('views move to the sheets before them, no id stands twice on a sheet, and all of it can be taken back', () => {
  const { arrangement, loose } = arranged(true);
  const change = changeFor(arrangement, loose, filled, sheets[1]!, sheets, { numbering: null }, USUAL_KINDS);
  expect(change.added).toEqual([]);
  expect(change.changes.map(({ id, version, views }) => [id, version, views?.map(({ name }) => name)])).toEqual([
    ['one', 3, ['Detail view-1', 'Detail view-2', 'Detail view-1', 'Detail view-2']],
    ['two', 3, []],
  ]);
  const ids = change.changes.flatMap(({ views }) => views!.map(({ id }) => id));
  expect(new Set(ids).size).toBe(4);
  const now = sheets.map((sheet) => ({ ...sheet, version: 4 }));
  expect(takenBack(change, sheets, [], now).changes!.map(({ views, version }) => [views, version])).toEqual(
    sheets.map(({ views }) => [views, 4]),
  );
});

test('sheets are added with the next numbers, like the one that it was asked on', () => {
  // Three of three by three modules: one beside what is locked, one on the second sheet, one on a sheet that is added.
  const { arrangement, loose } = arranged(true, '1:40');
  const { added } = changeFor(arrangement, loose, filled, sheets[1]!, sheets, { numbering: null }, USUAL_KINDS);
  expect(added.map(({ number, title, kind, size }) => [number, title, kind, size])).toEqual([
    ['A-503', 'Details', 'detail', 'ISO A1'],
  ]);
  expect(added[0]?.views.map(({ scale }) => scale)).toEqual(['1:40']);
});

test('no view is lost where no number is left for a sheet that would be added', () => {
  const { arrangement, loose } = arranged(true, '1:40');
  // Sheet numbers of two digits after the figure: all that are there are taken.
  const taken = Array.from({ length: 99 }, (_, i) => sheetOf(`t${i}`, `A-5${String(i + 1).padStart(2, '0')}`, []));
  const { changes, added } = changeFor(
    arrangement,
    loose,
    filled,
    sheets[1]!,
    [...taken, ...sheets],
    { numbering: null },
    USUAL_KINDS,
  );
  expect(added).toEqual([]);
  const kept = changes.flatMap(({ views }) => views!.filter(({ locked }) => !locked));
  expect(kept).toHaveLength(loose.length);
  expect(kept.filter(({ module }) => module === null)).toHaveLength(1);
});

test('what finds no room waits on its own sheet, as it was', () => {
  const { arrangement, loose } = arranged(false, '1:20');
  const { changes } = changeFor(arrangement, loose, filled, sheets[1]!, sheets, { numbering: null }, USUAL_KINDS);
  expect(changes).toEqual([
    { id: 'two', version: 3, views: sheets[1]!.views.map((view) => ({ ...view, module: null })) },
  ]);
});

test('views of the tray are arranged with the others; those that found a place leave it, and come back with it', () => {
  const tray = [viewOf('view-1'), viewOf('huge', { realWidth: 90_000 })];
  const [first] = filled;
  const loose = looseViews([first!], tray, 'scale');
  expect(loose.map(({ view }) => view.id)).toEqual(['view-2', 'view-1', 'huge']);
  const [way] = answerTo({
    of: 'ways',
    views: loose,
    sheets: sheetsToFill([first!]),
    further: undefined,
    ways: ['in-order'],
  }).ways;
  const change = changeFor(way!.arrangement, loose, [first!], sheets[0]!, sheets, { numbering: null }, USUAL_KINDS);
  expect(change.tray).toEqual({ put: [], take: ['view-1'] });
  const [changed] = change.changes;
  const views = changed?.views ?? [];
  expect(views.map(({ module }) => module === null)).toEqual([false, false, false]);
  expect(new Set(views.map(({ id }) => id)).size).toBe(3);
  expect(takenBack(change, sheets, tray, sheets).tray).toEqual({ put: [tray[0]] });
});

test('what fits is told for each size', () => {
  const { fits } = answerTo({
    of: 'fits',
    views: sheets[1]!.views,
    sizes: [{ size: 'ISO A1', grid }],
    scales: ['1:20', '1:40', '1:100'],
  });
  expect(fits).toEqual([
    {
      size: 'ISO A1',
      needed: [
        { scale: '1:20', sheets: undefined, tooLarge: ['Detail view-1', 'Detail view-2'] },
        { scale: '1:40', sheets: 2, tooLarge: [] },
        { scale: '1:100', sheets: 1, tooLarge: [] },
      ],
    },
  ]);
});
