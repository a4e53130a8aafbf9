import { OutlineError } from '@mendrel/core';
import { readSymbolFile } from '.';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const dxf = (...entities: (string | number)[][]): Uint8Array =>
  bytes([[0, 'SECTION'], [2, 'ENTITIES'], ...entities, [0, 'ENDSEC'], [0, 'EOF']].flat().join('\n'));
const line = (x0: number, y0: number, x1: number, y1: number): (string | number)[] => [
  ...[0, 'LINE', 8, '0', 10, x0, 20, y0, 11, x1, 21, y1],
];
const circle = (x: number, y: number, radius: number): (string | number)[] => [
  ...[0, 'CIRCLE', 8, '0', 10, x, 20, y, 40, radius],
];

test('a DXF is turned about its origin where that lies in it, else about its middle', () => {
  const { symbol } = readSymbolFile(dxf(circle(0, 0, 5), line(0, -5, 0, 15)));
  expect(symbol).toMatchObject({ width: 10, height: 20, base: { x: 5, y: 5 } });
  expect(symbol.linework).toHaveLength(2);
  expect(readSymbolFile(dxf(circle(100, 100, 5))).symbol.base).toEqual({ x: 5, y: 5 });
});

test('a drawing at real size is kept small, in its proportions', () => {
  const { symbol } = readSymbolFile(dxf(line(0, 0, 40_000, 10_000), circle(20_000, 5000, 5000)));
  expect([symbol.width, symbol.height]).toEqual([200, 50]);
  expect(symbol.linework).toContainEqual(expect.objectContaining({ kind: 'arc', centre: [100, 25], radius: 25 }));
});

test('an SVG gives its lines and areas, and what it leaves out is said', () => {
  const { symbol, dropped } = readSymbolFile(
    bytes(
      '<svg xmlns="http://www.w3.org/2000/svg" width="20mm" height="10mm" viewBox="0 0 20 10"><rect width="20" height="10"/><text>N</text><script>alert(1)</script></svg>',
    ),
  );
  expect(symbol).toMatchObject({ width: 20, height: 10, base: { x: 10, y: 5 } });
  expect(dropped.join()).toContain('text');
  expect(dropped.join()).toContain('a script');
});

test.each([
  ['a letter', bytes('Dear Mr Hawser'), 'can be read here'],
  ['one level line', dxf(line(0, 0, 10, 0)), 'as high as it is wide'],
  ['too many lines', dxf(...Array.from({ length: 301 }, (_, i) => line(i, 0, 0, i + 1))), '300'],
  [
    'lines with too many corners',
    bytes(
      `<svg xmlns="http://www.w3.org/2000/svg" width="20mm" height="10mm" viewBox="0 0 20 10"><path stroke="#000" fill="none" d="M0 0${Array.from({ length: 3000 }, (_, i) => `L${i % 20} ${(i * 7) % 10}`).join('')}"/></svg>`,
    ),
    'too many lines; draw it simpler',
  ],
])('%s is refused in words', (_, file, words) => {
  expect(() => readSymbolFile(file)).toThrow(OutlineError);
  expect(() => readSymbolFile(file)).toThrow(words);
});
