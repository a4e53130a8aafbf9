import { OutlineError } from '@mendrel/core';
import { readOutlineFile } from '.';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const svg = (inside: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="60mm" viewBox="0 0 100 60">${inside}</svg>`;
const PARTS =
  '<rect x="10" y="10" width="30" height="40" fill="none" stroke="black"/><path d="M40 10h50v40h-50z" fill="#ccc"/>';

/** A DXF drawing of lines of pairs; coordinates in drawing units. */
const dxf = (...entities: (string | number)[][]): string =>
  [[0, 'SECTION'], [2, 'ENTITIES'], ...entities, [0, 'ENDSEC'], [0, 'EOF']].flat().join('\n');
const polyline = (...corners: number[][]): (string | number)[] => [
  ...[0, 'LWPOLYLINE', 8, '0', 90, corners.length, 70, 1],
  ...corners.flatMap(([x = 0, y = 0]) => [10, x, 20, y]),
];
const text = (words: string, x: number, y: number): (string | number)[] => [
  0,
  'TEXT',
  8,
  '0',
  10,
  x,
  20,
  y,
  40,
  1,
  1,
  words,
];

test('an SVG gives parts with letters, or with the texts in them', () => {
  expect(readOutlineFile(bytes(svg(PARTS)))).toMatchObject({
    width: 80,
    height: 40,
    parts: [{ name: 'A' }, { name: 'B' }],
  });
  const named = svg(
    `${PARTS}<text x="20" y="30" font-size="4">Hall</text><text x="60" y="30" font-size="4">Quay</text>`,
  );
  expect(
    readOutlineFile(bytes(named))
      .parts.map(({ name }) => name)
      .sort(),
  ).toEqual(['Hall', 'Quay']);
});

test('a DXF gives its closed polylines with the texts in them', () => {
  const file = dxf(
    polyline([0, 0], [30, 0], [30, 20], [0, 20]),
    polyline([30, 0], [50, 0], [50, 20], [30, 20]),
    text('Hall', 14, 9),
    text('Tower', 38, 9),
  );
  const { width, height, parts } = readOutlineFile(bytes(file));
  expect(width / height).toBeCloseTo(2.5, 6);
  expect(parts.map(({ name }) => name).sort()).toEqual(['Hall', 'Tower']);
});

test.each([
  ['an SVG with a script in place of lines', svg('<script>alert(1)</script>'), 'no closed line'],
  ['an SVG that is cut off', svg(PARTS).slice(0, -20), 'damaged'],
  ['an SVG that refers to another file', svg('<use href="https://example.org/a.svg#b"/>'), 'no closed line'],
  ['a DXF that is cut off', dxf(polyline([0, 0], [1, 0], [1, 1])).slice(0, -30), 'can be read here'],
  ['a letter', 'Dear Mr Hawser', 'can be read here'],
  ['nothing', '', 'can be read here'],
])('%s is refused in words', (_, file, words) => {
  expect(() => readOutlineFile(bytes(file))).toThrow(OutlineError);
  expect(() => readOutlineFile(bytes(file))).toThrow(words);
});

test('a file that is too large is refused before it is read', () => {
  expect(() => readOutlineFile(new Uint8Array(3_000_001))).toThrow('larger than 3 MB');
});
