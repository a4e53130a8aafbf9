import fc from 'fast-check';
import type { Cell, Child, Design, Gaps, Track } from '../design';
import { composeSheet } from '../compose';
import { segmentsOf } from '../drawing';
import { STARTING_STANDARD } from '../standard';
import { caption, cell, designWith, divided } from '../testing/designs';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { solveDesign, trackLengths } from './solve';

const ON = { size: 'ISO A1', values: {}, standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };

const withGaps = (of: Cell, gaps: Gaps): Cell => ({ ...of, division: { ...of.division!, gaps } });
/** A block of 80 x 50 mm in the lower left corner of the frame of A1, which begins at 20, 10. */
const block = (root: Cell): Design => designWith(root, { dock: 'lower-left', width: '80 mm', height: '50 mm' });
const rectOf = (design: Design, id: string) => {
  const { x, y, width, height } = solveDesign(design, ON).cells.find((each) => each.id === id)!;
  return { x: x - 20, y: y - 10, width, height };
};
const fixed = (...lengths: number[]): Track[] => lengths.map((length) => ({ fixed: `${length} mm` }));
const place = (id: string, column: number, row: number, columnSpan = 1, rowSpan = 1): Child => ({
  column,
  row,
  columnSpan,
  rowSpan,
  cell: cell(id),
});
const grid = (columns: Track[], rows: Track[], children: Child[], gaps: Gaps): Cell => ({
  ...cell('root'),
  division: { columns, rows, children, gaps },
});

describe('room between tracks', () => {
  test('is taken of what the shares have', () => {
    const tracks: Track[] = [...fixed(40), { share: 1 }, ...fixed(12)];
    const root = withGaps(divided('root', 'columns', tracks, [cell('a'), cell('b'), cell('c')]), { columns: '5 mm' });
    expect(rectOf(block(root), 'a')).toEqual({ x: 0, y: 0, width: 40, height: 50 });
    expect(rectOf(block(root), 'b')).toEqual({ x: 45, y: 0, width: 18, height: 50 });
    expect(rectOf(block(root), 'c')).toEqual({ x: 68, y: 0, width: 12, height: 50 });
    const at = solveDesign(block(root), ON).cells.find((each) => each.id === 'root')!;
    expect(trackLengths(at, 'columns')).toEqual([40, 18, 12]);
  });

  test('is bridged by a cell that spans it', () => {
    const children = [place('wide', 0, 0, 2), place('a', 0, 1), place('b', 1, 1)];
    const root = grid([{ share: 1 }, { share: 1 }], fixed(20, 26), children, { columns: '6 mm', rows: '4 mm' });
    expect(rectOf(block(root), 'wide')).toEqual({ x: 0, y: 30, width: 80, height: 20 });
    expect(rectOf(block(root), 'a')).toEqual({ x: 0, y: 0, width: 37, height: 26 });
    expect(rectOf(block(root), 'b')).toEqual({ x: 43, y: 0, width: 37, height: 26 });
  });

  test('closes up with a track that is left out, wherever it stands', () => {
    for (const out of [0, 1, 2]) {
      const cells = ['a', 'b', 'c'].map((id, i) => (i === out ? { ...cell(id), when: '1 > 2' } : cell(id)));
      const root = withGaps(divided('root', 'rows', [{ share: 1 }, { share: 1 }, { share: 1 }], cells), {
        rows: '4 mm',
      });
      const layout = solveDesign(block(root), ON);
      const shown = layout.cells.filter((each) => !each.divided && !layout.hidden.has(each.id));
      expect(shown.map(({ y, height }) => [y - 10, height])).toEqual([
        [27, 23],
        [0, 23],
      ]);
    }
  });

  test('counts for a division that is as large as its content', () => {
    const inner = (gaps: Gaps): Cell =>
      withGaps(
        divided(
          'inner',
          'rows',
          [{ fit: true }, { fit: true }],
          [cell('a', [caption('one', 'One')]), cell('b', [caption('two', 'Two')])],
        ),
        gaps,
      );
    const heightWith = (gaps: Gaps): number =>
      rectOf(block(divided('root', 'rows', [{ fit: true }, { share: 1 }], [inner(gaps), cell('rest')])), 'inner')
        .height;
    expect(heightWith({ rows: '3 mm' })).toBeCloseTo(heightWith({}) + 3, 6);
  });

  test('is told where it leaves too little, and may not be less than nothing', () => {
    const root = withGaps(divided('root', 'columns', fixed(40, 38), [cell('a'), cell('b')]), { columns: '5 mm' });
    expect(solveDesign(block(root), ON).findings).toContainEqual(
      expect.objectContaining({ kind: 'room', by: 3, where: { cell: 'root', track: 'columns.0' } }),
    );
    expect(() =>
      solveDesign(block({ ...root, division: { ...root.division!, gaps: { columns: '-1 mm' } } }), ON),
    ).toThrow('comes to less than zero');
  });
});

describe('lines around cells with gaps', () => {
  /** All strokes of the block as x0, y0, x1, y1 from the block's own corner, each from left to right or from below. */
  const linesOf = (design: Design): string[] =>
    segmentsOf(composeSheet(design, solveDesign(design, ON), ON).items.filter((item) => item.part === 'block'))
      .map(({ x0, y0, x1, y1 }) => [
        Math.min(x0, x1) - 20,
        Math.min(y0, y1) - 10,
        Math.max(x0, x1) - 20,
        Math.max(y0, y1) - 10,
      ])
      .map((line) => line.map((each) => Number(each.toFixed(3))).join(' '))
      .sort();

  test('go around each cell, and leave the outline open where a gap comes up to it', () => {
    const root = withGaps(divided('root', 'columns', [{ share: 1 }, { share: 1 }], [cell('a'), cell('b')]), {
      columns: '10 mm',
    });
    const around = (x0: number, x1: number): string[] => [
      `${x0} 0 ${x1} 0`,
      `${x0} 50 ${x1} 50`,
      `${x0} 0 ${x0} 50`,
      `${x1} 0 ${x1} 50`,
    ];
    expect(linesOf(block(root))).toEqual([...around(0, 35), ...around(45, 80)].sort());
  });

  test('run across a gap only along a cell that does', () => {
    const children = [place('wide', 0, 0, 2), place('a', 0, 1), place('b', 1, 1), place('c', 0, 2), place('d', 1, 2)];
    const root = grid([{ share: 1 }, { share: 1 }], fixed(20, 20, 10), children, { columns: '10 mm' });
    const level = linesOf(block(root)).filter((line) => line.split(' ')[1] === line.split(' ')[3]);
    expect(level).toEqual(['0 50 80 50', '0 30 80 30', '0 10 35 10', '45 10 80 10', '0 0 35 0', '45 0 80 0'].sort());
  });

  test('are those of the cells, whatever spans and gaps there are', () => {
    const size = fc.integer({ min: 1, max: 4 });
    const gap = fc.constantFrom('0 mm', '2 mm', '3 mm');
    fc.assert(
      fc.property(size, size, fc.array(fc.nat(15), { maxLength: 4 }), gap, gap, (across, down, wide, columns, rows) => {
        const taken = new Set<number>();
        const children: Child[] = [];
        for (let row = 0; row < down; row++)
          for (let column = 0; column < across; column++) {
            const at = row * across + column;
            if (taken.has(at)) continue;
            const span = wide.includes(at) && column + 1 < across && !taken.has(at + 1) ? 2 : 1;
            const high = wide.includes(at + 1) && row + 1 < down && span === 1 ? 2 : 1;
            for (let i = 0; i < span; i++) for (let k = 0; k < high; k++) taken.add(at + i + k * across);
            children.push(place(`cell-${at}`, column, row, span, high));
          }
        const equal = (count: number): Track[] => Array.from({ length: count }, () => ({ share: 1 }));
        const design = block(grid(equal(across), equal(down), children, { columns, rows }));
        const layout = solveDesign(design, ON);
        const drawn = segmentsOf(composeSheet(design, layout, ON).items.filter((item) => item.part === 'block'));
        const edges = layout.cells
          .filter((each) => !each.divided)
          .flatMap(({ x, y, width, height }) => [
            { x0: x, y0: y, x1: x + width, y1: y },
            { x0: x, y0: y + height, x1: x + width, y1: y + height },
            { x0: x, y0: y, x1: x, y1: y + height },
            { x0: x + width, y0: y, x1: x + width, y1: y + height },
          ]);
        const length = (lines: typeof edges): number => {
          // Level and upright lines by their place, pieces that lie over each other counted once.
          const by = new Map<string, [number, number][]>();
          for (const { x0, y0, x1, y1 } of lines) {
            const upright = Math.abs(x0 - x1) < 1e-6;
            const key = upright ? `x${x0.toFixed(3)}` : `y${y0.toFixed(3)}`;
            const piece: [number, number] = upright
              ? [Math.min(y0, y1), Math.max(y0, y1)]
              : [Math.min(x0, x1), Math.max(x0, x1)];
            by.set(key, [...(by.get(key) ?? []), piece]);
          }
          let sum = 0;
          for (const pieces of by.values()) {
            let end = -Infinity;
            for (const [from, to] of pieces.sort((a, b) => a[0] - b[0])) {
              sum += Math.max(0, to - Math.max(from, end));
              end = Math.max(end, to);
            }
          }
          return sum;
        };
        // What is drawn is as long as the edges are, and so is both together: they are the same lines.
        expect(length(drawn)).toBeCloseTo(length(edges), 4);
        expect(length([...drawn, ...edges])).toBeCloseTo(length(edges), 4);
      }),
      { numRuns: 200 },
    );
  });
});
