import { featureCollection, lineString } from '@turf/helpers';
import { polygonize } from '@turf/polygonize';
import fc from 'fast-check';
import type { Rect } from '../geometry';
import { facesOf } from './faces';
import { ruledLines } from './linework';
import type { StrokeItem } from '../drawing';
import { oldLine } from '../testing/oldLinework';

const FRAME = { x: 20, y: 10, width: 390, height: 277 };
type Piece = [x0: number, y0: number, x1: number, y1: number];

/**
 * Cuts the frame in two, again and again, by the numbers given; the lines that were cut along. By corners rather than by
 * extents, so that neighbours have the very same numbers where they meet.
 */
function cuts(numbers: readonly number[]): Piece[] {
  const open: Piece[] = [[FRAME.x, FRAME.y, FRAME.x + FRAME.width, FRAME.y + FRAME.height]];
  const pieces: Piece[] = [];
  for (const number of numbers) {
    const rect = open.shift();
    if (!rect) break;
    const [x0, y0, x1, y1] = rect;
    const part = 0.25 + (number % 1000) / 2000;
    const upright = x1 - x0 > y1 - y0;
    if (Math.max(x1 - x0, y1 - y0) < 16) continue;
    // Whole tenths, so that lines of neighbours meet in the same points or clearly not.
    const at = Math.round(10 * (upright ? x0 + part * (x1 - x0) : y0 + part * (y1 - y0))) / 10;
    pieces.push(upright ? [at, y0, at, y1] : [x0, at, x1, at]);
    if (upright) open.push([x0, y0, at, y1], [at, y0, x1, y1]);
    else open.push([x0, y0, x1, at], [x0, at, x1, y1]);
  }
  return pieces;
}

/** A pinwheel around the middle of the frame, which no straight cut divides. */
function pinwheel(part: number): Piece[] {
  const { x, y, width, height } = FRAME;
  const at = (a: number, b: number): [number, number] => [
    Math.round(10 * (x + a * width)) / 10,
    Math.round(10 * (y + b * height)) / 10,
  ];
  const [near, far] = [part, 1 - part];
  return [
    [...at(near, 0), ...at(near, far)],
    [...at(near, far), ...at(1, far)],
    [...at(far, near), ...at(far, 1)],
    [...at(0, near), ...at(far, near)],
  ].map((each) => each as Piece);
}

const stroke = (piece: Piece): StrokeItem => oldLine(piece);
const border: Piece[] = [
  [FRAME.x, FRAME.y, FRAME.x + FRAME.width, FRAME.y],
  [FRAME.x + FRAME.width, FRAME.y, FRAME.x + FRAME.width, FRAME.y + FRAME.height],
  [FRAME.x, FRAME.y + FRAME.height, FRAME.x + FRAME.width, FRAME.y + FRAME.height],
  [FRAME.x, FRAME.y, FRAME.x, FRAME.y + FRAME.height],
];

/** Pieces cut at each other, as polygonize needs them. */
function noded(pieces: readonly Piece[]): Piece[] {
  return pieces.flatMap(([x0, y0, x1, y1]) => {
    const upright = x0 === x1;
    const on = new Set(upright ? [y0, y1] : [x0, x1]);
    for (const [a0, b0, a1, b1] of pieces) {
      for (const [x, y] of [[a0, b0], [a1, b1], upright ? [x0, b0] : [a0, y0]] as const) {
        const across = upright
          ? y === b0 && b0 === b1 && x0 >= a0 && x0 <= a1
          : x === a0 && a0 === a1 && y0 >= b0 && y0 <= b1;
        const end = upright ? x === x0 : y === y0;
        if ((across || end) && (upright ? y > y0 && y < y1 : x > x0 && x < x1)) on.add(upright ? y : x);
      }
    }
    const stops = [...on].sort((a, b) => a - b);
    return stops.slice(1).map((to, i): Piece => (upright ? [x0, stops[i]!, x0, to] : [stops[i]!, y0, to, y0]));
  });
}

const key = ({ x, y, width, height }: Rect): string => [x, y, width, height].map((each) => each.toFixed(3)).join(' ');

function polygonsOf(pieces: readonly Piece[]): string[] {
  const lines = noded(pieces).map(([x0, y0, x1, y1]) =>
    lineString([
      [x0, y0],
      [x1, y1],
    ]),
  );
  return polygonize(featureCollection(lines))
    .features.map(({ geometry }) => {
      const ring = geometry.coordinates[0] ?? [];
      const [xs, ys] = [ring.map(([x = 0]) => x), ring.map(([, y = 0]) => y)];
      const [x, y] = [Math.min(...xs), Math.min(...ys)];
      return key({ x, y, width: Math.max(...xs) - x, height: Math.max(...ys) - y });
    })
    .sort();
}

function facesOn(pieces: readonly Piece[]): string[] {
  const { cells, odd, drawingArea } = facesOf(ruledLines(pieces.map(stroke), 0.01), FRAME, 0.03);
  return [...cells, ...odd, ...(drawingArea ? [drawingArea] : [])].map(key).sort();
}

// Reference: @turf/polygonize on the same linework, cut where lines meet.
test('faces are those that polygonize finds, in divisions of any depth', () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 0, max: 1_000_000 }), { minLength: 1, maxLength: 60 }), (numbers) => {
      const pieces = [...border, ...cuts(numbers)];
      expect(facesOn(pieces)).toEqual(polygonsOf(pieces));
    }),
    { numRuns: 300 },
  );
});

test('faces are those that polygonize finds, where no straight cut divides', () => {
  fc.assert(
    fc.property(fc.integer({ min: 15, max: 45 }), (percent) => {
      const pieces = [...border, ...pinwheel(percent / 100)];
      expect(facesOn(pieces)).toEqual(polygonsOf(pieces));
    }),
  );
});
