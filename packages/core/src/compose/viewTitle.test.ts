import type { Item, TextItem } from '../drawing';
import { moduleGrid, placeViews } from '../placement';
import type { OfficeStandard, ViewTitle } from '../standard';
import { officeStandardSchema, STARTING_STANDARD } from '../standard';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { titleItems } from './viewTitle';

const grid = moduleGrid({ x: 20, y: 40, width: 720, height: 540 }, { columns: 4, rows: 3 });
const drawing = { linework: 'a'.repeat(64), name: 'plan.dxf', unit: 1, x: 0, y: 0 };

function items(title: Partial<ViewTitle> | undefined, more: object = {}, unit: 'mm' | 'in' = 'mm'): Item[] {
  const usual: ViewTitle = {
    lines: [{ pattern: '{view.name}', use: 'title' }],
    line: 'none',
    ring: false,
    numbers: 'module',
  };
  const standard: OfficeStandard = {
    ...STARTING_STANDARD,
    ...(title ? { viewTitle: { ...usual, ...title } } : {}),
  };
  const view = {
    id: 'v',
    name: 'Roof plan',
    realWidth: 12_000,
    realHeight: 9_000,
    scale: '1:100',
    module: 'B2',
    drawing,
    ...more,
  };
  const { placed } = placeViews([view], grid, unit, title?.numbers);
  return titleItems(placed[0]!, { standard, typefaces: TEST_TYPEFACES, unit, sheet: 'A-103' });
}
const texts = (all: Item[]): TextItem[] => all.filter((item) => item.kind === 'text');
const words = (all: Item[]): string[] => texts(all).map(({ text }) => text);

test('without a choice of the office it is number, name and scale under a line', () => {
  const all = items(undefined);
  expect(words(all)).toEqual(['B2  Roof plan  1:100']);
  const [rule] = all.filter((item) => item.kind === 'stroke');
  expect(rule!.points[1]).toBeGreaterThan(texts(all)[0]!.at.y + texts(all)[0]!.height);
});

test('it has the lines, the roles and the number that the office wants', () => {
  const all = items({
    lines: [
      { pattern: '{view.name, upper case}', use: 'title' },
      { pattern: '{view.scale}[ on {sheet.number}]', use: 'value' },
    ],
    line: 'between',
    ring: true,
    numbers: 'running',
  });
  expect(words(all)).toEqual(['1', 'ROOF PLAN', '1:100 on A-103']);
  const [number, first, second] = texts(all);
  expect(first!.height).toBeGreaterThan(second!.height);
  // The line stands between the two, and begins where the ring ends.
  const [rule] = all.filter((item) => item.kind === 'stroke');
  const [ring] = all.filter((item) => item.kind === 'arc');
  expect(rule!.points[1]).toBeLessThan(first!.at.y);
  expect(rule!.points[1]).toBeGreaterThan(second!.at.y + second!.height);
  expect(rule!.points[0]).toBeCloseTo(ring!.centre.x + ring!.radius, 9);
  // The number stands in the middle of its ring.
  expect(number!.at.x + number!.width / 2).toBeCloseTo(ring!.centre.x, 9);
  expect(number!.at.y + number!.height / 2).toBeCloseTo(ring!.centre.y, 9);
  expect(ring!.radius * 2).toBeGreaterThan(number!.width);
});

test('roles of the design’s own unit are taken', () => {
  const role = (unit: 'mm' | 'in'): string => texts(items({}, {}, unit))[0]!.role;
  const unitOf = (id: string): string => STARTING_STANDARD.roles.find((each) => each.id === id)!.unit;
  expect([unitOf(role('mm')), unitOf(role('in'))]).toEqual(['mm', 'in']);
});

test('a view that is sized to fill says so, and one without a drawing has its title between its corners', () => {
  expect(words(items(undefined, { scale: null }))).toEqual([expect.stringMatching(/Not to scale$/i)]);
  const empty = items({ ring: true, line: 'over' }, { drawing: undefined });
  expect(empty).toHaveLength(1);
  expect(words(empty)).toEqual(['Roof plan']);
});

test.each([
  ['{view.scale', 'has no closing brace'],
  ['{view.colour}', 'the title of a view has no {view.colour}'],
  ['{project.name}', 'there are {view.number}'],
])('what a title cannot say is refused: %s', (pattern, message) => {
  const viewTitle = { lines: [{ pattern, use: 'value' }], line: 'none', ring: false, numbers: 'module' };
  const { error } = officeStandardSchema.safeParse({ ...STARTING_STANDARD, viewTitle });
  expect(error?.issues.map((issue) => issue.message).join()).toContain(message);
});
