import { polygonArea, polygonContains } from 'd3-polygon';
import fc from 'fast-check';
import type { ArcItem, Item, StrokeItem, TextItem } from '../drawing';
import type { AreaSettings } from './areaTable';
import { areaRows, groupedAreas } from './areaTable';
import type { MeasuredArea } from './measure';
import { measureAreas } from './measure';
import { isInside, pointInside } from './polygons';

const on = { layer: 'AREA', part: 'view' } as const;
const stroke = (points: number[], closed = true): StrokeItem => ({ kind: 'stroke', points, closed, width: 0.1, ...on });
const box = (x: number, y: number, width: number, height: number): StrokeItem =>
  stroke([x, y, x + width, y, x + width, y + height, x, y + height]);
const text = (words: string, x: number, y: number, height = 250): TextItem => ({
  kind: 'text',
  text: words,
  at: { x, y },
  height,
  width: words.length * height * 0.6,
  widthFactor: 1,
  rotation: 0,
  typeface: '',
  role: '',
  ...on,
  layer: 'NAMES',
});
const arc = (x: number, y: number, radius: number, from: number, to: number): ArcItem => ({
  kind: 'arc',
  centre: { x, y },
  radius,
  from,
  to,
  width: 0.1,
  ...on,
});
const measured = (...items: Item[]) => measureAreas(items, { layers: ['AREA'], unit: 1 });
const sizes = (...items: Item[]): number[] =>
  measured(...items).areas.map(({ squareMetres }) => Math.round(squareMetres * 10_000) / 10_000);

// Worked by hand, in millimetres.
describe('what is measured', () => {
  test('closed lines, with or without their last piece, and edges of hatches', () => {
    expect(sizes(box(0, 0, 4000, 3000))).toEqual([12]);
    expect(sizes(stroke([0, 0, 4000, 0, 4000, 3000, 0, 3000, 0, 0], false))).toEqual([12]);
    expect(sizes({ kind: 'fill', rings: [[0, 0, 4000, 0, 0, 3000]], ...on })).toEqual([6]);
  });

  test('a circle is exact, half a circle on a wall nearly', () => {
    expect(sizes(arc(0, 0, 1000, 0, 360))).toEqual([3.1416]);
    const [half] = measured(arc(0, 0, 1000, 0, 180), stroke([-1000, 0, 1000, 0], false)).areas;
    expect(half!.squareMetres).toBeCloseTo(Math.PI / 2, 3);
  });

  test('lines that meet end to end, whichever way each was drawn', () => {
    expect(
      sizes(
        stroke([0, 0, 4000, 0], false),
        stroke([4000, 3000, 4000, 0], false),
        stroke([4000, 3000, 0, 3000], false),
        stroke([0, 0, 0, 3000], false),
      ),
    ).toEqual([12]);
  });

  test('lines that end on others, cross them, or run past their corners', () => {
    // A floor of four walls that run 200 mm past each other, divided by a wall that ends on two of them, and that by another one.
    const floor = [
      stroke([-200, 0, 6200, 0], false),
      stroke([6000, -200, 6000, 4200], false),
      stroke([6200, 4000, -200, 4000], false),
      stroke([0, 4200, 0, -200], false),
    ];
    const divided = [stroke([2000, 0, 2000, 4000], false), stroke([2000, 1000, 6000, 1000], false)];
    const { areas, findings } = measured(...floor, ...divided, stroke([3000, 2000, 4000, 2500], false));
    expect(areas.map(({ squareMetres }) => squareMetres).sort((a, b) => a - b)).toEqual([4, 8, 12]);
    // What stands by itself in a room is told, what runs past a corner is not.
    expect(findings.filter(({ kind }) => kind === 'open')).toHaveLength(1);
  });

  test('walls that lie over each other in part', () =>
    expect(
      sizes(
        stroke([0, 0, 3000, 0], false),
        stroke([1000, 0, 4000, 0, 4000, 3000], false),
        stroke([0, 0, 0, 3000, 4000, 3000, 4000, 1000], false),
      ),
    ).toEqual([12]));

  test('what is drawn twice counts once', () =>
    expect(sizes(box(0, 0, 4000, 3000), box(0, 0, 4000, 3000))).toEqual([12]));

  test('other layers, texts and open lines are no areas', () => {
    const { areas, findings } = measured(
      { ...box(0, 0, 1, 1), layer: 'WALL' },
      stroke([0, 0, 4000, 0, 4000, 3000], false),
    );
    expect(areas).toEqual([]);
    expect(findings).toMatchObject([{ kind: 'open' }]);
  });

  test('rooms that share a wall are none the smaller for it', () => {
    const { areas, findings } = measured(
      box(0, 0, 4000, 3000),
      box(4000, 0, 2000, 3000),
      text('A', 500, 500),
      text('B', 4500, 500),
    );
    expect(areas.map(({ name, squareMetres }) => [name, squareMetres])).toEqual([
      ['A', 12],
      ['B', 6],
    ]);
    expect(findings).toEqual([]);
  });

  test('an outline within another is taken off it: as a hole, or as an area of its own', () => {
    const hall = [box(0, 0, 10_000, 10_000), text('Hall', 500, 500)];
    expect(measured(...hall, box(4000, 4000, 1000, 1000)).areas).toMatchObject([{ name: 'Hall', squareMetres: 99 }]);
    expect(measured(...hall, box(4000, 4000, 2000, 2000), text('Lift', 4300, 4500)).areas).toMatchObject([
      { name: 'Hall', squareMetres: 96 },
      { name: 'Lift', squareMetres: 4 },
    ]);
  });

  test('names and numbers are read from what stands in it, written areas are not', () => {
    expect(
      measured(box(0, 0, 9000, 6000), text('TICKET HALL', 900, 3000, 300), text('0.09   527.9 m²', 900, 2000, 180))
        .areas,
    ).toMatchObject([{ name: 'TICKET HALL', number: '0.09' }]);
  });

  test('a drawing in metres gives the same', () => {
    expect(measureAreas([box(0, 0, 4, 3)], { layers: ['AREA'], unit: 1000 }).areas[0]!.squareMetres).toBeCloseTo(12, 9);
  });
});

describe('what is wrong', () => {
  const kinds = (...items: Item[]): string[] => measured(...items).findings.map(({ kind }) => kind);
  test.each<[string, Item[]]>([
    ['crosses itself', [stroke([0, 0, 4000, 0, 0, 3000, 4000, 3000]), text('Bow', 1800, 500)]],
    ['overlaps', [box(0, 0, 4000, 3000), box(3000, 1000, 4000, 3000), text('A', 500, 500), text('B', 5000, 2000)]],
    ['no name', [box(0, 0, 4000, 3000)]],
    ['same number', [box(0, 0, 2000, 3000), box(2000, 0, 2000, 3000), text('1.01', 500, 500), text('1.01', 2500, 500)]],
    ['outside', [box(0, 0, 4000, 3000), text('Hall', 500, 500), text('Yard', 9000, 9000)]],
  ])('%s is told with its place', (kind, items) => expect(kinds(...items)).toEqual([kind]));
});

test('lines that are too many to look through are told, with nothing else on their layer as well', () => {
  const lines = Array.from({ length: 2200 }, (_, i) => stroke([0, i, 9000, 9000 - i], false));
  const { areas, findings } = measured(...lines);
  expect(areas).toEqual([]);
  expect(findings).toMatchObject([
    { kind: 'too many', message: expect.stringContaining('more lines'), at: { x: 0, y: 0 } },
  ]);
});

test('a layer of thousands of small pieces is told, and ends', () => {
  const tiles = Array.from({ length: 3200 }, (_, i) => box((i % 80) * 300, Math.floor(i / 80) * 300, 300, 300));
  const { areas, findings } = measured(...tiles);
  expect(areas).toHaveLength(3000);
  expect(findings).toContainEqual(expect.objectContaining({ kind: 'too many' }));
});

test('the areas of a floor that is divided add up to the floor (property)', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 500, max: 9000 }), { minLength: 1, maxLength: 12 }),
      fc.integer({ min: 500, max: 9000 }),
      (widths, depth) => {
        let x = 0;
        const rooms = widths.map((width) => box((x += width) - width, 0, width, depth));
        const sum = measured(...rooms).areas.reduce((total, each) => total + each.squareMetres, 0);
        // Rooms of one size in one place are one; these stand beside each other.
        expect(sum).toBeCloseTo((x * depth) / 1e6, 6);
      },
    ),
  );
});

test('a point within a ring is within it (property)', () => {
  const stars = fc
    .array(fc.integer({ min: 1, max: 100 }), { minLength: 3, maxLength: 30 })
    .map((radii) =>
      radii.flatMap((radius, i) => [
        radius * Math.cos((2 * Math.PI * i) / radii.length),
        radius * Math.sin((2 * Math.PI * i) / radii.length),
      ]),
    );
  fc.assert(
    fc.property(stars, (ring) => {
      const xs = ring.filter((_, i) => i % 2 === 0);
      const ys = ring.filter((_, i) => i % 2 === 1);
      const [x, y] = [Math.min(...xs), Math.min(...ys)];
      const at = pointInside(ring, { x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y });
      expect(isInside(ring, at)).toBe(true);
    }),
  );
});

const area = (number: string, name: string, squareMetres: number): MeasuredArea => ({
  number,
  name,
  squareMetres,
  ring: [],
  at: { x: 0, y: 0 },
  layer: '',
});
const SETTINGS: AreaSettings = {
  sources: [],
  groups: ['Public', 'Staff'],
  groupOf: { '1': 'Public', '2': 'Public', '3': 'Staff' },
  unit: 'm²',
  decimals: 2,
};

// Worked example 9 (common practice): groups with their totals and a grand total; areas in no group are in no total.
test('groups are listed with their totals and a grand total, and what is in no group is in none', () => {
  const areas = [
    area('2', 'Ticket office', 41.746),
    area('1', 'Waiting hall', 312.404),
    area('3', 'Crew room', 28.1),
    area('4', 'Shaft', 5),
  ];
  expect(areaRows(areas, SETTINGS).map(({ group, name, area: size }) => [group, name, size])).toEqual([
    ['Public', '1 Waiting hall', '312.40 m²'],
    ['Public', '2 Ticket office', '41.75 m²'],
    ['Public', 'Total Public', '354.15 m²'],
    ['Staff', '3 Crew room', '28.10 m²'],
    ['Staff', 'Total Staff', '28.10 m²'],
    ['', 'Total', '382.25 m²'],
  ]);
  expect(groupedAreas(areas, SETTINGS).rest.map(({ area: { name } }) => name)).toEqual(['Shaft']);
});

test('without groups all are listed; square feet are rounded as the office rounds', () => {
  const feet: AreaSettings = { ...SETTINGS, groups: [], groupOf: {}, unit: 'sq ft', decimals: 0 };
  expect(areaRows([area('101', 'Commons', 24 * 32 * 0.3048 ** 2)], feet)).toEqual([
    { group: '', name: '101 Commons', area: '768 sq ft' },
    { group: '', name: 'Total', area: '768 sq ft' },
  ]);
});

describe('attributes of a block', () => {
  const attribute = (tag: string, words: string, y: number): TextItem => ({
    ...text(words, 500, y, 100),
    field: { tag, prompt: '', parameter: '' },
  });

  test('say number, name and group by their tags, whatever else is written larger', () => {
    const { areas } = measured(
      box(0, 0, 4000, 3000),
      text('HALL 7', 500, 2500, 400),
      attribute('ROOM_NO', 'N-07', 1500),
      attribute('RAUM', 'Archive', 1000),
      attribute('DEPARTMENT', 'Staff', 600),
    );
    expect(areas).toMatchObject([{ number: 'N-07', name: 'Archive', group: 'Staff' }]);
  });

  test('that are empty or say something else leave it to the texts', () => {
    const { areas } = measured(
      box(0, 0, 4000, 3000),
      attribute('ROOM_NO', ' ', 1500),
      attribute('FLOOR_FINISH', 'Oak', 1000),
      text('Archive  1.07', 500, 2500, 400),
    );
    expect(areas[0]).toMatchObject({ number: '1.07', name: 'Archive' });
    expect(areas[0]).not.toHaveProperty('group');
  });
});

// d3-polygon (ISC) as a planar polygon library that shares no code with this one.
test('areas and points within agree with d3-polygon on any simple outline (property)', () => {
  const radii = fc.array(fc.double({ min: 500, max: 20_000, noNaN: true }), { minLength: 3, maxLength: 60 });
  fc.assert(
    fc.property(radii, fc.boolean(), (given, clockwise) => {
      const corners = given.map((radius, i): [number, number] => {
        const turn = ((clockwise ? -1 : 1) * 2 * Math.PI * i) / given.length;
        return [40_000 + radius * Math.cos(turn), 30_000 + radius * Math.sin(turn)];
      });
      const { areas } = measured(stroke(corners.flat()));
      expect(areas).toHaveLength(1);
      expect(areas[0]!.squareMetres).toBeCloseTo(Math.abs(polygonArea(corners)) / 1e6, 6);
      expect(polygonContains(corners, [areas[0]!.at.x, areas[0]!.at.y])).toBe(true);
    }),
  );
});

test('more findings of a kind than are told one by one are counted', () => {
  const boxes = Array.from({ length: 150 }, (_, i) => box(i * 5000, 0, 4000, 3000));
  const { findings } = measured(...boxes);
  expect(findings.filter(({ kind }) => kind === 'no name')).toHaveLength(100);
  expect(findings.at(-1)).toMatchObject({
    kind: 'too many',
    message: 'and 50 more like “nothing is written in this outline”',
  });
});
