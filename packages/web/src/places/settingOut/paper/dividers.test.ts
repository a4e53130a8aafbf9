import type { Design } from '@mendrel/core';
import { divideCell, divideIntoGrid, readDivision, readTracks, solveDesign, STARTING_STANDARD } from '@mendrel/core';
import { plainStrip } from '../../../testing/plainStrip';
import { sumInWords } from './DivideBar';
import { countsFor, moveDivider, setTrackLength, standsAt, typedTrack, workedDivisions } from './dividers';

const typefaces = new Map(
  ['Barlow Semi Condensed', 'Barlow Semi Condensed SemiBold'].map((name) => [
    name,
    {
      name,
      unitsPerEm: 1000,
      capHeight: 700,
      descent: 200,
      stem: 60,
      advance: (text: string) => text.length * 350,
      has: () => true,
    },
  ]),
);
const solve = (design: Design, size = 'ISO A1') =>
  solveDesign(design, { size, values: {}, standard: STARTING_STANDARD, typefaces });
const worked = (design: Design, selected: string, size = 'ISO A1') =>
  workedDivisions(design, solve(design, size), selected)[0]!;

test('the division worked on is the selected cell’s own, or the one it is a part of', () => {
  const design = plainStrip();
  expect(worked(design, 'strip-1').cell.id).toBe('strip-1');
  expect(worked(design, 'cell-3').cell.id).toBe('strip-1');
  expect(worked(design, 'cell-3').lengths).toEqual([462, 34, 34, 16, 28]);
});

describe('moving a divider', () => {
  const design = plainStrip();
  const lengths = (next: Design) => worked(next, 'strip-1').lengths;

  test('changes the fixed track beside a share, which takes up the rest', () => {
    expect(lengths(moveDivider(design, worked(design, 'strip-1'), 0, 6.2, 'ISO A1'))).toEqual([468, 28, 34, 16, 28]);
  });

  test('between two fixed tracks keeps their sum', () => {
    expect(lengths(moveDivider(design, worked(design, 'strip-1'), 1, -3.1, 'ISO A1'))).toEqual([462, 31, 37, 16, 28]);
  });

  test('never takes a track below one increment', () => {
    expect(lengths(moveDivider(design, worked(design, 'strip-1'), 1, 500, 'ISO A1'))).toEqual([462, 67.5, 0.5, 16, 28]);
  });

  test('between two shares keeps both shares, and leaves others where they are', () => {
    const columns = divideCell(design, 'cell-1', 'columns', readTracks('* | * min 5 | 2*', 'mm'));
    const next = moveDivider(columns, worked(columns, 'cell-1'), 0, 10, 'ISO A1');
    expect(worked(next, 'cell-1').lengths).toEqual([30, 10, 40].map((mm) => expect.closeTo(mm, 4)));
    expect(worked(next, 'cell-1').cell.division?.columns).toEqual([
      { share: 1.5 },
      { share: 0.5, min: '5 mm' },
      { share: 2 },
    ]);
    expect(standsAt(worked(next, 'cell-1'), 0)).toBe('at least 5 mm');
  });

  test('writes shares as a person would, in hundredths', () => {
    const thirds = divideCell(design, 'cell-1', 'columns', readTracks('3 equal', 'mm'));
    const next = moveDivider(thirds, worked(thirds, 'cell-1'), 0, 4.7, 'ISO A1');
    expect(worked(next, 'cell-1').cell.division?.columns).toEqual([{ share: 1.18 }, { share: 0.82 }, { share: 1 }]);
    const all = moveDivider(thirds, worked(thirds, 'cell-1'), 0, 400, 'ISO A1');
    expect(worked(all, 'cell-1').cell.division?.columns[1]).toEqual({ share: 0.02 });
  });
});

describe('snapping', () => {
  const design = divideCell(plainStrip(), 'cell-1', 'rows', readTracks('* | 200 | 50', 'mm'));
  const of = worked(design, 'cell-1');
  const snap = { reach: 2, fine: false };

  test('goes to equal halves when near to them, else to the increment', () => {
    // The first two rows are 212 and 200 mm: their middle is at 206.
    const halves = moveDivider(design, of, 0, -5, 'ISO A1', 'all', snap);
    expect(worked(halves, 'cell-1').lengths).toEqual([206, 206, 50]);
    expect(standsAt(worked(halves, 'cell-1'), 0)).toBe('equal halves');
    expect(worked(moveDivider(design, of, 0, -20.2, 'ISO A1', 'all', snap), 'cell-1').lengths[0]).toBe(192);
  });

  test('goes into line with another divider of the panel', () => {
    const columns = divideCell(design, 'cell-2', 'columns', readTracks('30 | *', 'mm'));
    const both = divideCell(columns, 'cell-3', 'columns', readTracks('41.3 | *', 'mm'));
    const moved = moveDivider(both, worked(both, 'cell-2'), 0, 11, 'ISO A1', 'all', snap);
    expect(worked(moved, 'cell-2').lengths[0]).toBeCloseTo(41.3, 9);
    expect(standsAt(worked(moved, 'cell-2'), 0)).toBe('in line with another divider');
  });

  test('is put off for hundredths', () => {
    const fine = moveDivider(design, of, 1, 0.031, 'ISO A1', 'all', { reach: 0, fine: true });
    expect(worked(fine, 'cell-1').lengths[1]).toBeCloseTo(200.03, 9);
  });
});

describe('a length for one size only', () => {
  const design = plainStrip();

  test('makes a dimension with a value of its own there', () => {
    const next = setTrackLength(design, worked(design, 'strip-1', 'ISO A3'), 1, 20, 'ISO A3', 'size');
    expect(next.dimensions.at(-1)).toEqual({ name: 'projectRow', formula: '34 mm', bySize: { 'ISO A3': '20 mm' } });
    expect(worked(next, 'strip-1').lengths[1]).toBe(34);
    expect(worked(next, 'strip-1', 'ISO A3').lengths[1]).toBe(20);
  });

  test('is told before it is made', () => {
    const track = { fixed: 'strip' };
    expect(countsFor(design, { fixed: '34 mm' }, 'ISO A1', 'all')).toBe('all sizes');
    expect(countsFor(design, track, 'ISO A1', 'all')).toBe('all sizes that share strip');
    expect(countsFor(design, track, 'ISO A3', 'all')).toBe('ISO A3 only: strip has its own value there');
    expect(countsFor(design, track, 'ISO A1', 'size')).toBe('ISO A1 only');
    expect(countsFor(design, { share: 1 }, 'ISO A1', 'size')).toBe('all sizes');
  });
});

test('a grid is worked on along both axes', () => {
  const design = divideCell(
    divideCell(plainStrip(), 'cell-1', 'rows', readTracks('* | *', 'mm')),
    'cell-1',
    'rows',
    readTracks('* | 9', 'mm'),
  );
  const grid = divideIntoGrid(design, 'cell-1', readTracks('20 | *', 'mm'), readTracks('* | 9', 'mm'));
  expect(workedDivisions(grid, solve(grid), 'cell-1').map(({ axis, lengths }) => [axis, lengths])).toEqual([
    ['rows', [453, 9]],
    ['columns', [20, 60]],
  ]);
});

describe('a track that a dimension sets', () => {
  const base = plainStrip();
  const design: Design = {
    ...base,
    dimensions: [...base.dimensions, { name: 'title', formula: '34 mm', bySize: { 'ISO A3': '20 mm' } }],
  };
  const using = typedTrack(design, worked(design, 'strip-1'), 1, 'title', 'ISO A1');

  test('changes the dimension, for its own size where that has one', () => {
    const onA1 = setTrackLength(using, worked(using, 'strip-1'), 1, 40, 'ISO A1');
    expect(onA1.dimensions.at(-1)).toMatchObject({ formula: '40 mm', bySize: { 'ISO A3': '20 mm' } });
    const onA3 = setTrackLength(using, worked(using, 'strip-1', 'ISO A3'), 1, 22, 'ISO A3');
    expect(onA3.dimensions.at(-1)).toMatchObject({ formula: '34 mm', bySize: { 'ISO A3': '22 mm' } });
  });

  test('what is typed may be a length in any unit, a share or a dimension, and nothing else', () => {
    expect(
      worked(typedTrack(design, worked(design, 'strip-1'), 1, `1'-2"`, 'ISO A1'), 'strip-1').lengths[1],
    ).toBeCloseTo(355.6, 6);
    expect(
      worked(typedTrack(design, worked(design, 'strip-1'), 1, '2*', 'ISO A1'), 'strip-1').lengths[1],
    ).toBeGreaterThan(300);
    expect(() => typedTrack(design, worked(design, 'strip-1'), 1, 'wide', 'ISO A1')).toThrow('is not a length');
  });
});

test('a divider in a gap is moved by its middle, and goes to where another line stands', () => {
  const rows = divideCell(plainStrip(), 'cell-1', 'rows', readTracks('* | 100', 'mm'));
  const upper = divideCell(rows, 'cell-2', 'columns', readTracks('30 | *', 'mm'));
  const both = divideCell(upper, 'cell-3', 'columns', readTracks('20 | *', 'mm'), '6 mm');
  const lengths = (design: Design) => worked(design, 'cell-3').lengths;
  const [length = 0] = lengths(both);
  expect(length).toBe(20);
  // 27 is what the middle of the gap needs for the line at 30.
  const near = moveDivider(both, worked(both, 'cell-3'), 0, 6.4, 'ISO A1', 'all', { reach: 2, fine: false });
  expect(lengths(near)[0]).toBeCloseTo(27, 6);
  const [before, after] = lengths(both) as [number, number];
  expect(before + after + 6).toBeCloseTo(worked(both, 'cell-3').rect.width, 6);
});

describe('the sum of what is typed', () => {
  const words = (text: string, room: number) => {
    const { rows = [], gaps } = readDivision(text, 'rows', 'mm');
    return sumInWords(plainStrip(), rows, room, gaps?.rows);
  };
  test.each([
    ['12 | * | 10', 40, '40 mm = 12 + 18 + 10', false],
    ['20 | 20', 40, '40 mm = 20 + 20', false],
    ['30 | 20', 40, '10 mm more than the 40 mm there are', true],
    ['10 | 20', 40, '10 mm of 40 mm are left over; make one track *', true],
    ['strip | *', 40, 'uses dimensions', false],
    ['10 | * gap 5', 40, '40 mm = 10 + 25 + 5 of gaps', false],
    ['20 | 20 gap 5', 40, '5 mm more than the 40 mm there are', true],
    ['* | * gap strip', 40, 'uses dimensions', false],
  ])('%s in %d mm', (text, room, said, wrong) => {
    expect(words(text, room)).toEqual({ text: said, wrong });
  });
});
