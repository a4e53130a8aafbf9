import { readAreaList } from './areaList';
import { areaRows, groupOfArea, listedAreas, unlistedGroups } from './areaTable';
import type { AreaSettings } from './areaTable';

const FOOT = 0.3048 ** 2;

test('columns are found by their headings, in any order and in other languages', () => {
  const { areas, problems } = readAreaList(
    [
      ['Gruppe', 'Fläche (m²)', 'Nr.', 'Raum'],
      ['Büro', '12,50', '1.01', 'Archiv'],
      ['', '', '', ''],
      ['Büro', '1.234,5', '1.02', 'Halle'],
    ],
    'sq ft',
  );
  expect(problems).toEqual([]);
  expect(areas).toEqual([
    { number: '1.01', name: 'Archiv', group: 'Büro', squareMetres: 12.5 },
    { number: '1.02', name: 'Halle', group: 'Büro', squareMetres: 1234.5 },
  ]);
});

test.each([
  ['12.5', 12.5],
  ['12,5', 12.5],
  ['1,234', 1234],
  ['1.234', 1.234],
  ['1,234.5', 1234.5],
  ["1'234.5", 1234.5],
  ['1 234,50 m²', 1234.5],
  ['1,234,567', 1_234_567],
  ['100 sq ft', 100 * FOOT],
])('%s is %d m²', (words, squareMetres) => {
  expect(readAreaList([['1', 'Room', words]], 'm²').areas[0]?.squareMetres).toBeCloseTo(squareMetres, 9);
});

test('without headings it is number, name, area, group; the unit is the usual one', () => {
  expect(readAreaList([['101', 'Lobby', '240', 'Public']], 'sq ft').areas).toEqual([
    { number: '101', name: 'Lobby', group: 'Public', squareMetres: 240 * FOOT },
  ]);
});

test('what cannot be read is told with its row, and the rest is taken', () => {
  const { areas, problems } = readAreaList(
    [
      ['Number', 'Name', 'Area'],
      ['1', 'Lobby', 'large'],
      ['', '', '12'],
      ['2', 'Store', '9'],
    ],
    'm²',
  );
  expect(areas.map(({ name }) => name)).toEqual(['Store']);
  expect(problems).toEqual(['row 2: “large” is no area', 'row 3: neither a number nor a name']);
});

test('a list of any length is bounded', () => {
  const rows = Array.from({ length: 3100 }, (_, i) => [String(i), 'Room', '1']);
  const { areas, problems } = readAreaList(rows, 'm²');
  expect(areas).toHaveLength(3000);
  expect(problems).toHaveLength(21);
});

// Worked example 9 (common practice), from a list.
test('groups that a list says stand in the table once they are used, and none by hand counts before them', () => {
  const { areas: listed } = readAreaList(
    [
      ['1', 'Hall', '20', 'Public'],
      ['2', 'Office', '10', 'Staff'],
      ['3', 'Shaft', '5', 'Staff'],
    ],
    'm²',
  );
  const settings: AreaSettings = { sources: [], groups: [], groupOf: { '3': '' }, unit: 'm²', decimals: 0, listed };
  const areas = listedAreas(settings);
  expect(unlistedGroups(areas, settings)).toEqual(['Public', 'Staff']);
  const used = { ...settings, groups: ['Public', 'Staff'] };
  expect(groupOfArea(areas[2]!, used)).toBeUndefined();
  expect(areaRows(areas, used).map(({ name, area }) => `${name} ${area}`)).toEqual([
    '1 Hall 20 m²',
    'Total Public 20 m²',
    '2 Office 10 m²',
    'Total Staff 10 m²',
    'Total 30 m²',
  ]);
});
