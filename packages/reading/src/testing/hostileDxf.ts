import type { HostileFile } from './hostileFile';

type Pair = [number, string | number];

/** A DXF file of pairs of group codes and values. */
export function dxf(entities: readonly Pair[], blocks: readonly Pair[] = []): Buffer {
  const section = (name: string, pairs: readonly Pair[]): Pair[] => [
    [0, 'SECTION'],
    [2, name],
    ...pairs,
    [0, 'ENDSEC'],
  ];
  const pairs = [...(blocks.length > 0 ? section('BLOCKS', blocks) : []), ...section('ENTITIES', entities)];
  return Buffer.from([...pairs, [0, 'EOF']].map(([code, value]) => `${code}\n${value}\n`).join(''), 'utf8');
}

export const line = (x: number, y: number, x1: number, y1: number): Pair[] => [
  [0, 'LINE'],
  [8, '0'],
  [10, x],
  [20, y],
  [11, x1],
  [21, y1],
];
export const text = (words: string, x: number, y: number, height = 3.5): Pair[] => [
  [0, 'TEXT'],
  [8, '0'],
  [10, x],
  [20, y],
  [40, height],
  [1, words],
];
const box = (x: number, y: number, w: number, h: number): Pair[] => [
  ...line(x, y, x + w, y),
  ...line(x + w, y, x + w, y + h),
  ...line(x + w, y + h, x, y + h),
  ...line(x, y + h, x, y),
];
const times = (count: number, make: (i: number) => Pair[]): Pair[] =>
  Array.from({ length: count }, (_, i) => make(i)).flat();

/** An A3 sheet with a frame and a block of three cells, which can be read. */
export const sheet: Pair[] = [
  ...box(0, 0, 420, 297),
  ...box(20, 10, 390, 277),
  ...box(230, 10, 90, 20),
  ...box(320, 10, 90, 20),
  ...box(230, 30, 180, 20),
  ...text('PROJECT', 232, 46, 1.8),
  ...text('Harbour Library', 232, 33, 5),
  ...text('TITLE', 232, 26, 1.8),
  ...text('Ground floor plan', 232, 13),
  ...text('DRAWING NO.', 322, 26, 1.8),
  ...text('B-201', 322, 13, 5),
];

const block = (name: string, inside: Pair[]): Pair[] => [
  [0, 'BLOCK'],
  [8, '0'],
  [2, name],
  [10, 0],
  [20, 0],
  ...inside,
  [0, 'ENDBLK'],
];
const insert = (name: string, more: Pair[] = []): Pair[] => [
  [0, 'INSERT'],
  [8, '0'],
  [2, name],
  [10, 0],
  [20, 0],
  ...more,
];

const utf16 = (bytes: Buffer): Buffer =>
  Buffer.concat([Buffer.from([0xff, 0xfe]), Buffer.from(bytes.toString(), 'utf16le')]);

export const HOSTILE_DXF: readonly HostileFile[] = [
  { name: 'nothing.dxf', bytes: () => Buffer.alloc(0), answer: /the file is empty/ },
  { name: 'letter.dxf', bytes: () => Buffer.from('Dear all,\n'), answer: /line 1: "Dear all," is not a group code/ },
  { name: 'cut.dxf', bytes: () => dxf(sheet).subarray(0, 700), answer: /cut off/ },
  { name: 'utf16.dxf', bytes: () => utf16(dxf(sheet)), answer: 'read' },
  { name: 'nothing-in-texts.dxf', bytes: () => dxf([...sheet, ...text('a\u0000b\\U+D800c', 240, 20)]), answer: 'read' },
  {
    name: 'blocks-in-blocks.dxf',
    bytes: () =>
      dxf(
        [...sheet, ...insert('B0')],
        times(20, (i) => block(`B${i}`, i === 19 ? line(0, 0, 1, 1) : times(10, () => insert(`B${i + 1}`)))),
      ),
    answer: /the blocks unfold to over/,
  },
  {
    name: 'block-in-itself.dxf',
    bytes: () => dxf([...sheet, ...insert('A')], block('A', insert('A'))),
    answer: /blocks contain each other: A → A/,
  },
  {
    name: 'rows-of-blocks.dxf',
    bytes: () =>
      dxf(
        [
          ...sheet,
          ...insert('A', [
            [70, 32000],
            [71, 32000],
            [44, 1],
            [45, 1],
          ]),
        ],
        block('A', line(0, 0, 1, 1)),
      ),
    answer: /a block is repeated without end/,
  },
  {
    name: 'blocks-by-kinds.dxf',
    bytes: () =>
      dxf(
        [...sheet, ...times(3000, (i) => insert(`K${i}`))],
        times(3000, (i) => block(`K${i}`, [[0, `KIND${i}`], [8, `L${i}`], ...line(i, 0, i, 1)])),
      ),
    answer: 'any',
  },
  {
    name: 'grid.dxf',
    bytes: () =>
      dxf([
        ...sheet,
        ...times(300, (i) => line(30 + i * 0.6, 60, 30 + i * 0.6, 240)),
        ...times(300, (i) => line(30, 60 + i * 0.6, 210, 60 + i * 0.6)),
      ]),
    answer: 'any',
  },
  {
    name: 'level-and-upright.dxf',
    bytes: () =>
      dxf([
        ...sheet,
        ...times(20_000, (i) => [
          ...line(30 + (i % 300), 60 + Math.floor(i / 300), 30.4 + (i % 300), 60 + Math.floor(i / 300)),
          ...line(30 + (i % 300), 60 + Math.floor(i / 300), 30 + (i % 300), 60.4 + Math.floor(i / 300)),
        ]),
      ]),
    answer: 'any',
  },
  {
    name: 'long-level-and-upright.dxf',
    bytes: () =>
      dxf([
        ...sheet,
        ...times(20_000, (i) => [
          ...line(20, 60 + i / 100, 410, 60 + i / 100),
          ...line(20 + i / 60, 60, 20 + i / 60, 260),
        ]),
      ]),
    answer: 'any',
  },
  {
    name: 'texts.dxf',
    bytes: () =>
      dxf([...sheet, ...times(50_000, (i) => text(`Room ${i}`, 30 + (i % 250), 60 + Math.floor(i / 250) / 2, 1))]),
    answer: 'any',
  },
  {
    name: 'texts-in-one-cell.dxf',
    bytes: () => dxf([...sheet, ...times(20_000, (i) => text(`TITLE ${i}`, 232 + (i % 80), 12 + (i % 17), 1.8))]),
    answer: 'any',
  },
  {
    name: 'long-mtext.dxf',
    bytes: () =>
      dxf([
        ...sheet,
        [0, 'MTEXT'],
        [8, '0'],
        [10, 240],
        [20, 60],
        [40, 3],
        [41, 100],
        ...times(20_000, () => [[3, '{\\H2.5;{\\fArial|b0;word \\P\\S1/2;'.repeat(7).slice(0, 240)]]),
        [1, 'end'],
      ]),
    answer: 'any',
  },
  {
    name: 'long-polyline.dxf',
    bytes: () =>
      dxf([
        ...sheet,
        [0, 'LWPOLYLINE'],
        [8, '0'],
        [90, 400_000],
        [70, 1],
        ...times(400_000, (i) => [
          [10, i % 397],
          [20, i % 281],
        ]),
      ]),
    answer: 'any',
  },
  {
    name: 'endless-spline.dxf',
    bytes: () =>
      dxf([
        ...sheet,
        [0, 'SPLINE'],
        [8, '0'],
        [70, 8],
        [71, 3],
        [72, 2_000_000_000],
        [73, 2_000_000_000],
        ...times(20_000, (i) => [
          [40, i],
          [10, (i * 37) % 400],
          [20, (i * 61) % 290],
        ]),
      ]),
    answer: 'any',
  },
  {
    name: 'numbers-without-end.dxf',
    bytes: () => dxf([...sheet, ...times(2000, (i) => line(1e300, -1e300 * i, 1e308, 1e308))]),
    answer: 'any',
  },
];
