import fc from 'fast-check';
import { cell, designWith, divided, field } from '../../testing/designs';
import { addContent, divideCell, freshId, joinCell, removeContent, setCell, setDimension, setTrack } from '.';
import { readDivision, readTracks, writeTracks } from '../tracks';
import { validateDesign } from '../validate';
import { findCell } from '../visit';

const design = designWith(cell('root', [field('f', '{sheet.title}')]), { dock: 'right', width: '90 mm' });

describe('dividing', () => {
  test('moves content into the first new cell and keeps the design sound', () => {
    const next = divideCell(design, 'root', 'rows', readTracks('40 | * | 12 x2', 'mm'));
    const { division, contents } = findCell(next, 'root')!.cell;
    expect(contents).toEqual([]);
    expect(division?.rows).toEqual([{ fixed: '40 mm' }, { share: 1 }, { fixed: '12 mm' }, { fixed: '12 mm' }]);
    expect(division?.children[0]?.cell.contents[0]?.id).toBe('f');
    expect(validateDesign(next)).toEqual([]);
    expect(design.panels[0]?.root.contents).toHaveLength(1);
  });

  test('again along the same axis keeps the cells that are there', () => {
    const first = divideCell(design, 'root', 'rows', readTracks('* | 20', 'mm'));
    const again = divideCell(first, 'root', 'rows', readTracks('* | 20 | 30', 'mm'));
    const ids = (of: typeof design) => findCell(of, 'root')!.cell.division!.children.map((child) => child.cell.id);
    expect(ids(again).slice(0, 2)).toEqual(ids(first));
  });

  test('refuses to lose content, and to divide across', () => {
    const rows = divideCell(design, 'root', 'rows', readTracks('20 | *', 'mm'));
    const second = findCell(rows, 'root')!.cell.division!.children[1]!.cell.id;
    const filled = addContent(rows, second, field('g', '{sheet.number}'));
    expect(() => divideCell(filled, 'root', 'rows', readTracks('*', 'mm'))).toThrow('still hold something');
    expect(() => divideCell(filled, 'root', 'columns', readTracks('* | *', 'mm'))).toThrow('divided into rows');
  });

  test('joining brings the contents together', () => {
    const rows = divideCell(design, 'root', 'rows', readTracks('20 | *', 'mm'));
    const second = findCell(rows, 'root')!.cell.division!.children[1]!.cell.id;
    const joined = joinCell(addContent(rows, second, field('g', '{sheet.number}')), 'root');
    expect(findCell(joined, 'root')!.cell.contents.map((each) => each.id)).toEqual(['f', 'g']);
    expect(findCell(joined, 'root')!.cell.division).toBeUndefined();
  });
});

test('edits leave everything else the same object', () => {
  const nested = designWith(divided('root', 'rows', [{ share: 1 }, { share: 1 }], [cell('a'), cell('b')]), {
    dock: 'right',
    width: '9 mm',
  });
  const next = setCell(nested, 'a', { name: 'Title', padding: '2 mm' });
  const children = (of: typeof nested) => of.panels[0]!.root.division!.children;
  expect(children(next)[0]!.cell).toMatchObject({ name: 'Title', padding: '2 mm' });
  expect(children(next)[1]).toBe(children(nested)[1]);
  expect(findCell(setCell(next, 'a', { padding: '' }), 'a')!.cell.padding).toBeUndefined();
});

test('what is gone cannot be edited', () => {
  expect(() => setTrack(design, 'nowhere', 'rows', 0, { share: 1 })).toThrow('no longer in the design');
  expect(() => removeContent(design, 'nothing')).toThrow('no longer in the design');
});

test('a dimension is set for one size without touching the others', () => {
  const next = setDimension(setDimension(design, 'strip', '90 mm'), 'strip', '62 mm', 'ISO A3');
  expect(next.dimensions).toEqual([{ name: 'strip', formula: '90 mm', bySize: { 'ISO A3': '62 mm' } }]);
});

test('fresh ids are unused', () => {
  expect(freshId(design, 'content')).toBe('content-1');
  expect(freshId(addContent(design, 'root', field('content-1', 'x')), 'content')).toBe('content-2');
});

describe('typed tracks', () => {
  test.each([
    ['40 | * | 12 | 12', 'mm', '40 | * | 12 x2'],
    ['3/4in | 1/2in x3 | *', 'in', '3/4in | 1/2in x3 | *'],
    ['3/4 | 2* | fit', 'in', '3/4 | 2* | fit'],
    ['strip * 0.5|*', 'mm', 'strip * 0.5 | *'],
    ['3 equal', 'mm', '* | * | *'],
    ['* min 30 max strip | 2* max 1/2 in', 'mm', '* min 30 max strip | 2* max 1/2 in'],
    ['fit min 12,5 | *', 'mm', 'fit min 12.5 | *'],
    ['* min 30 max 60 | 2* max 40 x3', 'mm', '* min 30 max 60 | 2* max 40 x3'],
    ['box2 | strip x2', 'mm', 'box2 | strip x2'],
    ['3/4in|1/2inx3|*', 'in', '3/4in | 1/2in x3 | *'],
  ] as const)('%s', (text, unit, written) => {
    expect(writeTracks(readTracks(text, unit), unit)).toBe(written);
  });

  test.each([
    ['40 | | 12', 'a size is missing'],
    ['40 | wide and high', 'is not a size'],
    ['0 | *', 'must be more than zero'],
    ['0*', 'a share must be more than zero'],
    ['5 x 900', 'between 1 and 60 tracks'],
    ['* min wide and high', '"wide and high" is not a length'],
    ['a* min 5', '"a*" is not a size; a share'],
  ])('%s is refused', (text, message) => {
    expect(() => readTracks(text, 'mm')).toThrow(message);
  });

  test('a gap stands behind the tracks, and a dimension of that name does not', () => {
    expect(readDivision('40 | * gap 5', 'columns', 'mm')).toEqual({
      columns: [{ fixed: '40 mm' }, { share: 1 }],
      gaps: { columns: '5 mm' },
    });
    expect(readDivision('75 x2 gap 3 by 4 equal', 'grid', 'mm')).toMatchObject({ gaps: { columns: '3 mm' } });
    expect(readDivision('40 | gap x2', 'rows', 'mm')).toEqual({
      rows: [{ fixed: '40 mm' }, { fixed: 'gap' }, { fixed: 'gap' }],
    });
    expect(() => readDivision('40 | * gap', 'rows', 'mm')).toThrow('is not a size');
    expect(() => readDivision('40 | * gap wide and high', 'rows', 'mm')).toThrow('a gap is written gap 5');
  });

  test('what is written is read back the same', () => {
    const length = fc.integer({ min: 1, max: 9000 }).map((tenths) => `${tenths / 10} mm`);
    const bounds = fc.record({ min: length, max: length }, { requiredKeys: [] });
    const track = fc.oneof(
      fc.oneof(length, fc.constantFrom('strip', 'box2', 'strip / 2')).map((fixed) => ({ fixed })),
      fc.tuple(fc.integer({ min: 1, max: 9 }), bounds).map(([share, bound]) => ({ share, ...bound })),
      bounds.map((bound) => ({ fit: true as const, ...bound })),
    );
    fc.assert(
      fc.property(
        fc.array(track, { minLength: 1, maxLength: 20 }),
        fc.option(length, { nil: undefined }),
        (rows, gap) => {
          const division = { rows, ...(gap === undefined ? {} : { gaps: { rows: gap } }) };
          expect(readDivision(writeTracks(rows, 'mm', gap), 'rows', 'mm')).toEqual(division);
        },
      ),
    );
  });
});
