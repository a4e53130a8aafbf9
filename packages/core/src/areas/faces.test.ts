import fc from 'fast-check';
import type { LooseLine } from './faces';
import { facesOf } from './faces';
import { twiceArea } from './polygons';

const SIDE = 1000;
const line = (...points: number[]): LooseLine => ({ points, layer: 'WALL' });
/** The sides of a square, each of them longer than it. */
const SQUARE = [
  line(-2, 0, SIDE + 2, 0),
  line(SIDE, -2, SIDE, SIDE + 2),
  line(SIDE + 2, SIDE, -2, SIDE),
  line(0, SIDE + 2, 0, -2),
];

/** A point on the edge of the square, by how far along it stands, 0 to 4. */
function onEdge(at: number): [number, number] {
  const along = (at % 1) * SIDE;
  return (
    [
      [along, 0],
      [SIDE, along],
      [SIDE - along, SIDE],
      [0, SIDE - along],
    ] as [number, number][]
  )[Math.floor(at)]!;
}

type Chord = readonly [[number, number], [number, number]];

/** Where two chords cross; undefined where they do not. */
function crossing([[ax, ay], [bx, by]]: Chord, [[cx, cy], [dx, dy]]: Chord): [number, number] | undefined {
  const across = (bx - ax) * (dy - cy) - (by - ay) * (dx - cx);
  const one = ((cx - ax) * (dy - cy) - (cy - ay) * (dx - cx)) / across;
  const other = ((cx - ax) * (by - ay) - (cy - ay) * (bx - ax)) / across;
  return one > 0 && one < 1 && other > 0 && other < 1 ? [ax + one * (bx - ax), ay + one * (by - ay)] : undefined;
}

// By Euler: each chord and each crossing of two makes an area more, and all of them together are the square.
test('chords divide a square into as many areas as they and their crossings make, which add up to it (property)', () => {
  const along = fc.integer({ min: 50, max: 950 });
  // From one side to another.
  const chord = fc
    .tuple(fc.integer({ min: 0, max: 3 }), fc.integer({ min: 1, max: 3 }), along, along)
    .map(([side, further, a, b]): [number, number] => [side + a / 1000, ((side + further) % 4) + b / 1000]);
  const chords = fc.array(chord, { minLength: 1, maxLength: 8 });
  fc.assert(
    fc.property(chords, (chosen) => {
      const all = chosen.map(([a, b]): Chord => [onEdge(a), onEdge(b)]);
      const crossings = all.flatMap((one, i) =>
        all.slice(i + 1).flatMap((other) => [crossing(one, other) ?? []].filter((each) => each.length > 0)),
      );
      const places = [...all.flat(), ...crossings, ...[0, 1, 2, 3].map(onEdge)] as [number, number][];
      // Places that nearly meet are another matter.
      fc.pre(places.every(([x, y], i) => places.slice(i + 1).every(([u, v]) => Math.hypot(u - x, v - y) > 0.1)));
      // Each runs a little past the square.
      const lines = all.map(([[ax, ay], [bx, by]]) => {
        const past = 0.02 / Math.hypot(bx - ax, by - ay);
        return line(ax - past * (bx - ax), ay - past * (by - ay), bx + past * (bx - ax), by + past * (by - ay));
      });
      const { rings, open } = facesOf([...SQUARE, ...lines], 1e-3);
      expect(rings).toHaveLength(1 + chosen.length + crossings.length);
      expect(open).toEqual([]);
      expect(rings.reduce((sum, { ring }) => sum + twiceArea(ring) / 2, 0)).toBeCloseTo(SIDE * SIDE, 3);
    }),
    { numRuns: 200 },
  );
});

test('a grid of 100 by 100 lines has as many rooms as meshes', () => {
  const lines = Array.from({ length: 101 }, (_, i) => [
    line(i * 10, 0, i * 10, SIDE),
    line(0, i * 10, SIDE, i * 10),
  ]).flat();
  const { rings, tooMany } = facesOf(lines, 1e-3);
  expect([rings.length, tooMany]).toEqual([10_000, false]);
});

test('more lines than can be looked through are told', () => {
  const lines = Array.from({ length: 2200 }, (_, i) => line(0, i * 1e-2, SIDE, SIDE - i * 1e-2));
  expect(facesOf(lines, 1e-6)).toEqual({ rings: [], open: [], tooMany: true });
});
