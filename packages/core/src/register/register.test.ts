import fc from 'fast-check';
import { allKinds, kindOfSheet, ownKindsSchema } from './sheetKind';
import {
  inHandOrder,
  inSheetOrder,
  movedOrder,
  steppedOrder,
  nextSheetNumber,
  readSheetNumber,
  writeSheetNumber,
} from './sheetNumber';
import { mayEnter, sheetValues } from './sheetValues';

const KINDS = allKinds([{ name: 'Fire strategy', figure: 9 }]);
const numbered = (numbers: readonly string[]) => numbers.map((number) => ({ number }));

// US National CAD Standard (from memory): discipline, one digit of sheet type, two digits of sequence.
describe('sheet numbers', () => {
  test.each<[string[], string, string]>([
    [['A-101', 'A-102', 'A-201'], 'plan', 'A-103'],
    [['A-101', 'A-102'], 'section', 'A-301'],
    [[], 'plan', 'A-101'],
    [['G-001', 'A-101'], 'cover', 'G-002'],
    [['S-101', 'S-102', 'A-101'], 'plan', 'S-103'],
    // A cover, or several general sheets, say nothing of the discipline of a plan; the other plans do.
    [['G-001'], 'plan', 'A-101'],
    [['G-001', 'G-002', 'S-201'], 'plan', 'S-101'],
    [['A-101', 'A-102', 'A-103', 'S-501'], 'detail', 'S-502'],
    [['A-199', 'A-101'], 'plan', 'A-102'],
    [['12', 'Blatt 3'], 'detail', 'A-501'],
    // A kind of the office's own has its figure, and one that nobody knows has none.
    [['A-101'], 'Fire strategy', 'A-901'],
    [['A-101'], 'unheard of', 'A-001'],
  ])('after %j the next %s is %s', (existing, kind, next) => {
    expect(nextSheetNumber(numbered(existing), kind, KINDS)).toBe(next);
  });

  test('a proposal is never taken and always of its kind', () => {
    const numbers = fc.array(
      fc.tuple(fc.constantFrom('A', 'S', 'G'), fc.integer({ min: 0, max: 6 }), fc.integer({ min: 1, max: 99 })),
      { maxLength: 60 },
    );
    fc.assert(
      fc.property(numbers, fc.constantFrom(...KINDS), (parts, kind) => {
        const existing = parts.map(([discipline, type, sequence]) => writeSheetNumber({ discipline, type, sequence }));
        const next = nextSheetNumber(numbered(existing), kind.name, KINDS);
        expect(existing).not.toContain(next);
        expect(readSheetNumber(next)?.type).toBe(kind.figure);
      }),
    );
  });

  test.each<[[string, string][], string, string]>([
    // Series by kind: the next of a series, or the first of a new one.
    [
      [
        ['A1.1', 'plan'],
        ['A2.1', 'elevation'],
        ['A3.1', 'section'],
        ['A4.1', 'detail'],
      ],
      'plan',
      'A1.2',
    ],
    [
      [
        ['A1.1', 'plan'],
        ['A2.1', 'elevation'],
        ['A3.1', 'section'],
        ['A4.1', 'detail'],
      ],
      'schedule',
      'A5.1',
    ],
    [
      [
        ['A1.1', 'plan'],
        ['A1.2', 'plan'],
        ['A1.10', 'plan'],
        ['A2.1', 'section'],
      ],
      'plan',
      'A1.11',
    ],
    // One run of figures goes on, as wide as before.
    [
      [
        ['Plan 007', 'plan'],
        ['Plan 008', 'section'],
      ],
      'plan',
      'Plan 009',
    ],
    [
      [
        ['2417-AR-099', 'plan'],
        ['2417-AR-100', 'plan'],
      ],
      'plan',
      '2417-AR-101',
    ],
    [
      [
        ['1', 'plan'],
        ['2', 'plan'],
        ['10', 'section'],
      ],
      'detail',
      '11',
    ],
    [
      [
        ['L-0.0', 'cover'],
        ['L-1.0', 'plan'],
      ],
      'section',
      'L-2.0',
    ],
    // One sheet shows no scheme, nor do numbers of many forms.
    [[['Site plan', 'plan']], 'plan', 'A-101'],
    [
      [
        ['1a', 'plan'],
        ['x-2', 'plan'],
        ['B 3', 'plan'],
      ],
      'plan',
      'A-101',
    ],
  ])('by the scheme of %j the next %s is %s', (sheets, kind, next) => {
    expect(
      nextSheetNumber(
        sheets.map(([number, own]) => ({ number, kind: own })),
        kind,
        KINDS,
      ),
    ).toBe(next);
  });

  // Titles as drawing offices write them (common practice).
  test.each<[string, string, string | undefined]>([
    ['Ground floor plan', '', 'plan'],
    ['GRUNDRISS 2. OG', 'A-201', 'plan'],
    ['Façade nord', '', 'elevation'],
    ['Schnitt A-A', '', 'section'],
    ['Details of the roof', '', 'detail'],
    ['Door schedule', '', 'schedule'],
    ['Cover and index', '', 'cover'],
    ['Perspective', 'A-301', 'section'],
    ['Perspective', '12', undefined],
    ['Plan of the fire strategy', '', 'Fire strategy'],
    ['Fire stair plan', 'A-901', 'plan'],
    ['Escape', 'A-901', 'Fire strategy'],
  ])('a sheet called %s with the number “%s” is a %s', (title, number, kind) => {
    expect(kindOfSheet(title, readSheetNumber(number)?.type, KINDS)).toBe(kind);
  });

  test.each([
    [[{ name: 'Plan', figure: 7 }], 'there is a kind plan already'],
    [
      [
        { name: 'Fire', figure: 7 },
        { name: 'fire', figure: 8 },
      ],
      'there is a kind fire already',
    ],
    [[{ name: '7 up', figure: 7 }], 'begins with a letter'],
    [[{ name: 'Fire', figure: 10 }], ''],
  ])('kinds of an office’s own: %j are refused', (own, words) => {
    const told = ownKindsSchema.safeParse(own);
    expect(told.error?.issues.map(({ message }) => message).join()).toContain(words);
    expect(told.success).toBe(false);
  });

  test('by hand: sheets stand where they were put, new ones come last', () => {
    const ids = fc.uniqueArray(fc.integer({ min: 0, max: 30 }).map(String), { maxLength: 20 });
    fc.assert(
      fc.property(ids, ids, fc.nat(20), (here, chosen, at) => {
        const moved = new Set(chosen);
        const before = here[at] ?? null;
        const order = movedOrder(here, moved, before);
        expect([...order].sort()).toEqual([...here].sort());
        // Those that were moved stand together, in front of the one that was named.
        const mine = here.filter((id) => moved.has(id));
        const first = order.indexOf(mine[0] ?? '');
        if (mine.length > 0) expect(order.slice(first, first + mine.length)).toEqual(mine);
        if (mine.length > 0 && before !== null && !moved.has(before)) expect(order[first + mine.length]).toBe(before);
        expect(order.filter((id) => !moved.has(id))).toEqual(here.filter((id) => !moved.has(id)));
        const sheets = [...here, 'new'].reverse().map((id) => ({ id }));
        expect(inHandOrder(sheets, order).map(({ id }) => id)).toEqual([...order, 'new']);
      }),
    );
  });

  test.each<[string, string, -1 | 1, string | undefined]>([
    ['abcd', 'c', -1, 'acbd'],
    ['abcd', 'c', 1, 'abdc'],
    ['abcd', 'a', -1, undefined],
    ['abcd', 'd', 1, undefined],
    // Several go together, from where the first or the last of them stands.
    ['abcd', 'bd', -1, 'bdac'],
    ['abcde', 'ac', 1, 'bdace'],
    ['abcd', '', 1, undefined],
  ])('of %s, %s a step of %i gives %s', (order, moved, by, after) => {
    expect(steppedOrder([...order], new Set(moved), by)?.join('')).toBe(after);
  });

  test('order: general sheets first, then disciplines, other forms last', () => {
    const mixed = ['S-101', 'A-201', 'misc 10', 'A-102', 'G-001', 'misc 9'];
    const ordered = inSheetOrder(mixed.map((number) => ({ number }))).map(({ number }) => number);
    expect(ordered).toEqual(['G-001', 'A-102', 'A-201', 'S-101', 'misc 9', 'misc 10']);
  });
});

test('a sheet has the data of its office and project, its own, and what is computed', () => {
  const values = sheetValues(
    {
      office: { 'office.name': 'Quillwater Studio' },
      project: { 'project.number': 'BFT', 'project.name': 'Ferry Terminal', 'set.purpose': 'For tender' },
    },
    {
      number: 'A-101',
      title: 'Plan',
      kind: 'plan',
      size: 'ISO A1',
      values: { 'sheet.drawnBy': 'MO', 'sheet.scale': 'typed' },
      views: [],
    },
    { index: 2, count: 42 },
    { severalScales: 'As noted', noScale: '', notToScale: 'NTS', dates: 'as entered' },
  );
  expect(values).toMatchObject({
    'office.name': 'Quillwater Studio',
    'project.name': 'Ferry Terminal',
    'set.purpose': 'For tender',
    'sheet.number': 'A-101',
    'sheet.size': 'A1',
    'sheet.position': '3',
    'set.count': '42',
    'sheet.fileName': 'BFT-A-101',
    'sheet.scale': '',
  });
});

test('only entered parameters of the scope may be typed', () => {
  expect(mayEnter('sheet.drawnBy', 'sheet')).toBe(true);
  expect(mayEnter('sheet.scale', 'sheet')).toBe(false);
  expect(mayEnter('project.name', 'sheet')).toBe(false);
  expect(mayEnter('set.purpose', 'project')).toBe(true);
  expect(mayEnter('set.count', 'project')).toBe(false);
  expect(mayEnter('__proto__', 'sheet')).toBe(false);
});
