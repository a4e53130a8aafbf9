import fc from 'fast-check';
import { overlaps } from '../../geometry';
import { solveDesign } from '../../layout';
import { STARTING_STANDARD } from '../../standard';
import { cell, designWith, divided, field } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import type { Cell, Design } from '..';
import { readDivision, readTracks } from '../tracks';
import { validateDesign } from '../validate';
import { cellsOf, findCell } from '../visit';
import {
  addPanel,
  changeContents,
  clearDimension,
  copyTrack,
  divideCell,
  divideIntoGrid,
  EditError,
  fillCells,
  insertBeside,
  joinNeighbours,
  lockDesign,
  lockPanel,
  mirrorPanel,
  movePanel,
  moveTrack,
  removeDimension,
  removePanel,
  removeSize,
  removeTrack,
  renameDimension,
  setCell,
  setCellEdge,
  setDimension,
  setLoose,
  setPanel,
  setGap,
  takeFrame,
  setTrack,
  setTrackLine,
  splitSpan,
} from '.';
import { insertTrack } from './trackEdits';

const ON = { size: 'ISO A1', values: {}, standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };
const plain = designWith(cell('root', [field('f', '{sheet.title}')]), {
  dock: 'lower-right',
  width: '90 mm',
  height: '60 mm',
});
const grid = (design: Design, text: string): Design => {
  const { columns = [], rows = [] } = readDivision(text, 'grid', 'mm');
  return divideIntoGrid(design, 'root', columns, rows);
};
const children = (design: Design, id = 'root') => findCell(design, id)!.cell.division!.children;
const at = (design: Design, column: number, row: number): string =>
  children(design).find((child) => child.column === column && child.row === row)!.cell.id;
const rects = (design: Design) => solveDesign(design, ON).cells.filter((each) => !each.divided);

describe('grids and spans', () => {
  // Worked example 2 of the trade: a block of 150 by 40 mm in 4 rows and 2 columns has cells of 75 by 10 mm.
  test('a block in rows and columns at once', () => {
    const block = designWith(cell('root'), { dock: 'lower-right', width: '150 mm', height: '40 mm' });
    const solved = rects(grid(block, '2 equal by 4 equal'));
    expect(solved).toHaveLength(8);
    for (const each of solved) expect(each).toMatchObject({ width: 75, height: 10 });
  });

  test('a pinwheel, which no straight cut makes', () => {
    let design = grid(plain, '30 | * | 30 by 20 | * | 20');
    for (const pair of [
      [
        [0, 0],
        [1, 0],
      ],
      [
        [2, 0],
        [2, 1],
      ],
      [
        [1, 2],
        [2, 2],
      ],
      [
        [0, 1],
        [0, 2],
      ],
    ] as const) {
      design = joinNeighbours(
        design,
        pair.map(([column, row]) => at(design, column, row)),
      );
    }
    expect(validateDesign(design)).toEqual([]);
    const solved = rects(design);
    expect(solved).toHaveLength(5);
    expect(solved.reduce((sum, each) => sum + each.width * each.height, 0)).toBeCloseTo(90 * 60, 6);
    expect(solved.some((one) => solved.some((other) => one !== other && overlaps(one, other)))).toBe(false);
    // The content of the cell that was divided is still there.
    expect([...cellsOf(design)].flatMap((each) => each.cell.contents).map((each) => each.id)).toEqual(['f']);
  });

  test('joining refuses what is no rectangle, and what is in no one division', () => {
    const design = grid(plain, '3 equal by 2 equal');
    expect(() => joinNeighbours(design, [at(design, 0, 0), at(design, 1, 1)])).toThrow('make up a rectangle');
    const nested = divideCell(design, at(design, 2, 1), 'rows', readTracks('* | *', 'mm'));
    const inner = children(nested, at(design, 2, 1))[0]!.cell.id;
    expect(() => joinNeighbours(nested, [at(design, 0, 0), inner])).toThrow('neighbours in one division');
    expect(() => joinNeighbours(design, [at(design, 0, 0)])).toThrow('two or more');
  });

  test('a joined cell is taken apart again', () => {
    const design = grid(plain, '2 equal by 2 equal');
    const joined = joinNeighbours(design, [at(design, 0, 0), at(design, 1, 0), at(design, 0, 1), at(design, 1, 1)]);
    expect(children(joined)).toHaveLength(1);
    expect(children(joined)[0]!.cell.contents).toHaveLength(1);
    const split = splitSpan(joined, children(joined)[0]!.cell.id);
    expect(children(split)).toHaveLength(4);
    expect(validateDesign(split)).toEqual([]);
  });
});

describe('tracks', () => {
  const rows = divideCell(plain, 'root', 'rows', readTracks('10 | 20 | *', 'mm'));
  const lengths = (design: Design): unknown[] => findCell(design, 'root')!.cell.division!.rows;

  test('are inserted, and what spans the place spans them too', () => {
    const design = grid(plain, '2 equal by 2 equal');
    const tall = joinNeighbours(design, [at(design, 1, 0), at(design, 1, 1)]);
    const wider = insertTrack(tall, 'root', 'rows', 1, { fixed: '5 mm' });
    expect(children(wider).find((child) => child.column === 1)).toMatchObject({ row: 0, rowSpan: 3 });
    expect(children(wider).filter((child) => child.column === 0)).toHaveLength(3);
    expect(removeTrack(wider, 'root', 'rows', 1)).toEqual(tall);
  });

  test('another one beside a track is as large as that one', () => {
    const after = insertBeside(rows, 'root', 'rows', 1, 'after');
    expect(lengths(after)).toEqual([{ fixed: '10 mm' }, { fixed: '20 mm' }, { fixed: '20 mm' }, { share: 1 }]);
    const before = insertBeside(rows, 'root', 'rows', 0, 'before');
    expect(lengths(before)).toEqual([{ fixed: '10 mm' }, { fixed: '10 mm' }, { fixed: '20 mm' }, { share: 1 }]);
    expect(children(before)[0]!.cell.contents).toEqual([]);
    expect(() => insertBeside(rows, 'root', 'rows', 7, 'after')).toThrow('that track is gone');
  });

  test('with something in them are not taken away, nor is the last one', () => {
    expect(() => removeTrack(rows, 'root', 'rows', 0)).toThrow('row 1 still holds something');
    expect(lengths(removeTrack(rows, 'root', 'rows', 1))).toEqual([{ fixed: '10 mm' }, { share: 1 }]);
    const one = removeTrack(removeTrack(rows, 'root', 'rows', 1), 'root', 'rows', 1);
    expect(() => removeTrack(one, 'root', 'rows', 0)).toThrow('the last track stays');
  });

  test('move with their cells, and back again', () => {
    const moved = moveTrack(rows, 'root', 'rows', 0, 2);
    expect(lengths(moved)).toEqual([{ fixed: '20 mm' }, { share: 1 }, { fixed: '10 mm' }]);
    expect(children(moved)[2]!.cell.contents).toHaveLength(1);
    expect(moveTrack(moved, 'root', 'rows', 2, 0)).toEqual(rows);
    expect(() => moveTrack(rows, 'root', 'rows', 0, 3)).toThrow('no place further on');
  });

  test('do not move out of a cell that spans them', () => {
    const design = grid(plain, '1 equal by 3 equal');
    const joined = joinNeighbours(design, [at(design, 0, 0), at(design, 0, 1)]);
    expect(() => moveTrack(joined, 'root', 'rows', 0, 2)).toThrow('spans that track');
  });

  test('are copied with what they hold, under ids of their own', () => {
    const copied = copyTrack(rows, 'root', 'rows', 0);
    expect(lengths(copied).slice(0, 2)).toEqual([{ fixed: '10 mm' }, { fixed: '10 mm' }]);
    expect(children(copied)[1]!.cell.contents[0]).toMatchObject({ pattern: '{sheet.title}' });
    expect(validateDesign(copied)).toEqual([]);
  });

  test('keep the pen of the line after them when their length changes', () => {
    const lined = setTrackLine(rows, 'root', 'rows', 0, 'outline');
    expect(lengths(setTrack(lined, 'root', 'rows', 0, { fixed: '12 mm' }))[0]).toEqual({
      fixed: '12 mm',
      line: 'outline',
    });
    expect(setTrackLine(lined, 'root', 'rows', 0, undefined)).toEqual(rows);
  });
});

describe('cells', () => {
  test('are filled with a copy of another, each under its own name', () => {
    const design = grid(plain, '2 equal by 2 equal');
    const named = setCell(design, at(design, 1, 1), { name: 'Last' });
    const source = divided(
      's',
      'rows',
      [{ share: 1 }, { share: 1 }],
      [cell('x', [field('g', '{sheet.date}')]), cell('y')],
    );
    const filled = fillCells(named, [at(design, 1, 0), at(design, 1, 1)], { ...source, fill: '#dddddd' });
    expect(validateDesign(filled)).toEqual([]);
    expect(findCell(filled, at(design, 1, 0))!.cell).toMatchObject({ name: 's', fill: '#dddddd' });
    expect(findCell(filled, at(design, 1, 1))!.cell.name).toBe('Last');
    expect(children(filled, at(design, 1, 1))[0]!.cell.contents[0]).toMatchObject({ pattern: '{sheet.date}' });
  });

  test('have pens of their own edges', () => {
    const lined = setCellEdge(plain, 'root', 'top', 'none');
    expect(findCell(lined, 'root')!.cell.edges).toEqual({ top: 'none' });
    expect(setCellEdge(lined, 'root', 'top', undefined)).toEqual(plain);
  });

  test('are changed together', () => {
    const design = divideCell(plain, 'root', 'rows', readTracks('10 | *', 'mm'));
    const larger = changeContents(design, [at(design, 0, 0), at(design, 0, 1)], (content) =>
      'role' in content ? { ...content, role: 'title' } : content,
    );
    expect(findCell(larger, at(design, 0, 0))!.cell.contents[0]).toMatchObject({ role: 'title' });
    expect(children(larger)[1]).toBe(children(design)[1]);
  });
});

describe('panels', () => {
  const two = addPanel(
    designWith(cell('root'), { dock: 'right', width: '80 mm' }),
    { name: 'Notes', dock: 'bottom', height: '40 mm' },
    STARTING_STANDARD,
  );
  const places = (design: Design) => solveDesign(design, ON).panels.map(({ name, x, width }) => ({ name, x, width }));

  test('dock in their order: the earlier one takes the whole edge', () => {
    expect(places(two)).toEqual([
      { name: 'Panel', x: 751, width: 80 },
      { name: 'Notes', x: 20, width: 731 },
    ]);
    expect(places(movePanel(two, two.panels[1]!.id, -1))).toEqual([
      { name: 'Notes', x: 20, width: 811 },
      { name: 'Panel', x: 751, width: 80 },
    ]);
    expect(() => movePanel(two, 'panel', -1)).toThrow('no place further on');
    expect(removePanel(two, 'panel').panels).toHaveLength(1);
  });

  test('moved to another place keep where they were, and no length that has no effect there', () => {
    const corner = setPanel(two, 'panel', { dock: 'lower-right' });
    expect(corner.panels[0]).toMatchObject({ width: '80 mm', height: '60 mm' });
    expect(setPanel(corner, 'panel', { dock: 'right' }).panels[0]!.height).toBeUndefined();
    const rectOf = (design: Design) => {
      const { x, y, width, height } = solveDesign(design, ON).panels[0]!;
      return { x, y, width, height };
    };
    for (const design of [corner, two, setPanel(two, 'panel', { dock: 'top', height: '50 mm' })]) {
      expect(rectOf(setPanel(design, 'panel', { dock: 'floating' }))).toEqual(rectOf(design));
    }
    const floating = setPanel(two, 'panel', { dock: 'floating' });
    const back = setPanel(floating, 'panel', { dock: 'right' });
    expect(back.panels[0]).toEqual(two.panels[0]);
    expect(setPanel({ ...two, unit: 'in' }, 'panel', { dock: 'upper-left' }).panels[0]!.height).toBe('2.5 in');
  });

  test('get the lengths that a dock needs', () => {
    expect(setPanel(two, 'panel', { dock: 'upper-left' }).panels[0]).toMatchObject({ width: '80 mm', height: '60 mm' });
    expect(validateDesign(setPanel(two, 'panel', { dock: 'floating', anchor: 'centre', x: '', when: '' }))).toEqual([]);
  });

  test('are mirrored: columns run the other way, twice is as it was', () => {
    const root = divided(
      'root',
      'columns',
      [{ fixed: '20 mm', line: 'frame' }, { fixed: '30 mm' }, { share: 1 }],
      [cell('a'), cell('b'), cell('c')],
    );
    const design = designWith({ ...root, edges: { left: 'frame' } }, { dock: 'right', width: '80 mm' });
    const mirrored = mirrorPanel(design, 'panel');
    expect(mirrored.panels[0]!.dock).toBe('left');
    expect(findCell(mirrored, 'root')!.cell.edges).toEqual({ right: 'frame' });
    expect(children(mirrored).map((child) => child.cell.id)).toEqual(['c', 'b', 'a']);
    expect(rects(mirrored).map(({ id, x, width }) => [id, x, width])).toEqual([
      ['c', 20, 30],
      ['b', 50, 30],
      ['a', 80, 20],
    ]);
    // The line that was after the first track stands before the last one now.
    expect(findCell(mirrored, 'root')!.cell.division!.columns.map((track) => track.line)).toEqual([
      undefined,
      'frame',
      undefined,
    ]);
    expect(mirrorPanel(mirrored, 'panel')).toEqual(design);
  });

  test('that are locked, and designs that are, refuse every change', () => {
    const locked = lockPanel(two, 'panel', true);
    for (const edit of [
      (design: Design) => setCell(design, 'root', { name: 'x' }),
      (design: Design) => setPanel(design, 'panel', { width: '1 mm' }),
      (design: Design) => removePanel(design, 'panel'),
    ]) {
      expect(() => edit(locked)).toThrow('Panel is locked; unlock it first');
      expect(() => edit(lockDesign(two, true))).toThrow('this design is locked');
    }
    expect(() => setDimension(lockDesign(two, true), 'a', '1 mm')).toThrow(EditError);
    expect(lockPanel(locked, 'panel', false)).toEqual(two);
    expect(lockDesign(lockDesign(two, true), false)).toEqual(two);
  });
});

describe('dimensions', () => {
  const design = setDimension(
    setDimension(setPanel(plain, 'panel', { width: 'strip' }), 'strip', '90 mm'),
    'strip',
    '62 mm',
    'ISO A3',
  );
  const with2 = setDimension(design, 'stripHalf', 'strip / 2');

  test('are renamed wherever they are used, and nowhere else', () => {
    const renamed = renameDimension(with2, 'strip', 'width');
    expect(renamed.panels[0]!.width).toBe('width');
    expect(renamed.dimensions).toEqual([
      { name: 'width', formula: '90 mm', bySize: { 'ISO A3': '62 mm' } },
      { name: 'stripHalf', formula: 'width / 2' },
    ]);
    expect(() => renameDimension(with2, 'strip', 'stripHalf')).toThrow('already');
    expect(() => renameDimension(with2, 'strip', '2 words')).toThrow('one word');
  });

  test('in use are not taken away', () => {
    expect(() => removeDimension(with2, 'strip')).toThrow('strip is used by dimension stripHalf');
    expect(removeDimension(with2, 'stripHalf')).toEqual(design);
  });

  test('lose their value for a size with the size', () => {
    expect(removeSize(design, 'ISO A3').dimensions).toEqual([{ name: 'strip', formula: '90 mm' }]);
    expect(clearDimension(design, 'strip', 'ISO A3').dimensions).toEqual([{ name: 'strip', formula: '90 mm' }]);
    expect(() => removeSize(removeSize(design, 'ISO A3'), 'ISO A1')).toThrow('at least one sheet size');
  });
});

test('the frame of another design is taken as it is, unless its margins use dimensions that are not there', () => {
  const margins = { left: '20 mm', right: 'edge', top: '10 mm', bottom: '10 mm' };
  const other = { ...plain, name: 'Other', frame: { ...plain.frame, margins, pen: 'outline' } };
  const measured = { ...other, dimensions: [{ name: 'edge', formula: '12 mm' }] };
  expect(() => takeFrame(plain, measured)).toThrow('the margins of Other use the dimension edge');
  const known = { ...plain, dimensions: [{ name: 'edge', formula: '8 mm' }] };
  expect(takeFrame(known, measured)).toEqual({ ...known, frame: other.frame });
});

test('what hangs on a cell that is gone is a problem with its place', () => {
  const point = { of: 'nowhere', anchor: 'centre' as const, x: '0', y: '0' };
  const design = setLoose(plain, { id: 'l', kind: 'line', from: point, to: { ...point, of: 'frame' }, pen: 'fine' });
  expect(validateDesign(design)).toEqual([
    { where: 'loose.0.from', message: 'it hangs on "nowhere", which is not in the design' },
  ]);
});

describe('whatever is edited in whatever order', () => {
  type Step = (design: Design, pick: number) => Design;
  const cellIds = (design: Design): string[] => [...cellsOf(design)].map((place) => place.cell.id);
  const any = <T>(list: readonly T[], pick: number): T => list[pick % list.length] as T;
  const someDivided = (design: Design, pick: number): Cell | undefined => {
    const found = [...cellsOf(design)].filter((place) => place.cell.division);
    return found.length === 0 ? undefined : any(found, pick).cell;
  };
  const onDivision =
    (step: (design: Design, cell: Cell, axis: 'rows' | 'columns', index: number) => Design): Step =>
    (design, pick) => {
      const cellHere = someDivided(design, pick);
      if (!cellHere) return design;
      const axis = pick % 2 === 0 ? 'rows' : 'columns';
      return step(design, cellHere, axis, pick % cellHere.division![axis].length);
    };
  const steps: Step[] = [
    (design, pick) =>
      divideCell(design, any(cellIds(design), pick), pick % 2 ? 'rows' : 'columns', readTracks('* | 7 | 2*', 'mm')),
    (design, pick) => {
      const { columns = [], rows = [] } = readDivision('* | 5 by 4 | *', 'grid', 'mm');
      return divideIntoGrid(design, any(cellIds(design), pick), columns, rows);
    },
    onDivision((design, on, axis, index) => insertTrack(design, on.id, axis, index, { share: 1 })),
    onDivision((design, on, axis, index) => removeTrack(design, on.id, axis, index)),
    onDivision((design, on, axis, index) => moveTrack(design, on.id, axis, index, 0)),
    onDivision((design, on, axis, index) => copyTrack(design, on.id, axis, index)),
    (design, pick) => {
      const on = someDivided(design, pick);
      return on
        ? joinNeighbours(
            design,
            on.division!.children.slice(0, 2).map((child) => child.cell.id),
          )
        : design;
    },
    (design, pick) => {
      const [first] = someDivided(design, pick)?.division?.children ?? [];
      return first ? splitSpan(design, first.cell.id) : design;
    },
    (design) => mirrorPanel(design, 'panel'),
    onDivision((design, on, axis) =>
      setGap(design, on.id, axis, design.panels[0]!.root.division?.gaps ? '' : '0.5 mm'),
    ),
    (design, pick) => fillCells(design, [any(cellIds(design), pick)], cell('copied', [field('c', '{sheet.date}')])),
  ];

  test('the design stays sound, its cells fill their panel without lying over each other, and nothing else is touched', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(steps.length - 1), fc.nat(1000)), { maxLength: 12 }), (moves) => {
        let design = addPanel(plain, { name: 'Other', dock: 'left', width: '30 mm' }, STARTING_STANDARD);
        const other = solveDesign(design, ON).panels[1];
        for (const [step, pick] of moves) {
          const before = JSON.stringify(design);
          const held = design;
          try {
            design = steps[step]!(design, pick);
          } catch (error) {
            if (!(error instanceof EditError)) throw error;
          }
          expect(JSON.stringify(held)).toBe(before);
          if ([...cellsOf(design)].length > 300) break;
        }
        expect(validateDesign(design)).toEqual([]);
        const layout = solveDesign(design, ON);
        if (design.panels[0]!.dock === 'lower-right')
          expect(layout.panels[1]).toMatchObject({ x: other!.x, width: other!.width });
        for (const each of layout.cells) {
          for (const [limits, extent] of [
            [each.columns, each.width],
            [each.rows, each.height],
          ] as const) {
            if (!limits) continue;
            const sum = Math.abs(limits[limits.length - 1]! - limits[0]!);
            const over = layout.findings.some((finding) => finding.where.cell === each.id);
            if (!over) expect(sum).toBeCloseTo(extent, 6);
          }
        }
        if (layout.findings.length === 0) {
          const leaves = layout.cells.filter((each) => !each.divided && each.panel === 'panel');
          const area = leaves.reduce((sum, each) => sum + each.width * each.height, 0);
          if (layout.cells.every((each) => !each.halfGaps)) expect(area).toBeCloseTo(90 * 60, 4);
          else expect(area).toBeLessThanOrEqual(90 * 60);
          for (const [i, one] of leaves.entries()) {
            expect(leaves.slice(i + 1).some((two) => overlaps(one, two))).toBe(false);
          }
        }
      }),
      { numRuns: 150 },
    );
  });
});
