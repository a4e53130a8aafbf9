import { featureCollection, lineString } from '@turf/helpers';
import { polygonize } from '@turf/polygonize';
import type { Item, LegacyDrawing, StrokeItem } from '@mendrel/core';
import { convertLegacy, facesOf, ruledLines, STARTING_STANDARD } from '@mendrel/core';
import { shippedFontFiles } from '@mendrel/fonts/files';
import { flattenDxf, readDxf } from '@mendrel/formats/dxf';
import { readTypefaces } from '@mendrel/formats/typeface';
import { readFileSync } from 'node:fs';
import { inTurns, report, wait } from './measure';

const stroke = (x0: number, y0: number, x1: number, y1: number): StrokeItem => ({
  kind: 'stroke',
  layer: 'PLAN',
  part: 'block',
  points: [x0, y0, x1, y1],
  closed: false,
  width: 0.25,
});

function numbers(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return state / 4294967296;
  };
}

/** A title block with a plan of many walls and hatches in its drawing area. */
function busyDrawing(segments: number): LegacyDrawing {
  const block = flattenDxf(readDxf(new Uint8Array(readFileSync('demo/legacy/corner-block-a1.dxf'))));
  const next = numbers(segments);
  const plan = Array.from({ length: segments }, (_, i): Item => {
    const [x, y, length] = [60 + next() * 560, 150 + next() * 380, 1 + next() * 40];
    return i % 3 === 0
      ? stroke(x, y, x + length, y)
      : i % 3 === 1
        ? stroke(x, y, x, y + length)
        : stroke(x, y, x + length, y + length);
  });
  return { ...block, items: [...block.items, ...plan] };
}

/** Recognising a title block beside a plan of 25,000 to 100,000 segments. */
export function benchRecognition(): void {
  const on = { standard: STARTING_STANDARD, typefaces: readTypefaces(shippedFontFiles()) };
  const times = [25_000, 100_000].map((segments) => {
    const drawing = busyDrawing(segments);
    return report(
      `Recognising a title block among ${segments.toLocaleString('en')} segments`,
      'what it may take, 2 s for 100,000',
      inTurns(
        () => void convertLegacy(drawing, 'bench', on),
        () => wait((2000 * segments) / 100_000),
        3,
      ),
    );
  });
  const [few = 1, many = 1] = times;
  const allowed = (100_000 * Math.log(100_000)) / (25_000 * Math.log(25_000));
  console.log(`Four times the segments take ${(many / few / allowed).toFixed(2)} x what n log n allows`);
}

type Piece = readonly [number, number, number, number];

const FRAME = { x: 0, y: 0, width: 800, height: 560 };

/** A frame cut in two again and again: the lines whole, and cut where they meet, as polygonize needs them. */
function cuts(cells: number): { lines: Piece[]; noded: Piece[] } {
  const next = numbers(5);
  const [right, top] = [FRAME.width, FRAME.height];
  const open: Piece[] = [[0, 0, right, top]];
  const lines: Piece[] = [
    [0, 0, right, 0],
    [right, 0, right, top],
    [0, top, right, top],
    [0, 0, 0, top],
  ];
  while (open.length < cells) {
    const [x0, y0, x1, y1] = open.shift() ?? [0, 0, 1, 1];
    const part = 0.3 + 0.4 * next();
    if (x1 - x0 > y1 - y0) {
      const at = x0 + part * (x1 - x0);
      lines.push([at, y0, at, y1]);
      open.push([x0, y0, at, y1], [at, y0, x1, y1]);
    } else {
      const at = y0 + part * (y1 - y0);
      lines.push([x0, at, x1, at]);
      open.push([x0, y0, x1, at], [x0, at, x1, y1]);
    }
  }
  const noded = lines.flatMap(([x0, y0, x1, y1]): Piece[] => {
    const upright = x0 === x1;
    const stops = new Set(upright ? [y0, y1] : [x0, x1]);
    for (const [a, b, c, d] of lines) {
      if (upright && b === d && (a === x0 || c === x0) && b > y0 && b < y1) stops.add(b);
      if (!upright && a === c && (b === y0 || d === y0) && a > x0 && a < x1) stops.add(a);
    }
    const sorted = [...stops].sort((a, b) => a - b);
    return sorted.slice(1).map((to, i): Piece => {
      const from = sorted[i] ?? 0;
      return upright ? [x0, from, x0, to] : [from, y0, to, y0];
    });
  });
  return { lines, noded };
}

/** Faces of the linework of title blocks and of whole sheets of cells, from lines as each of the two wants them. */
export function benchFaces(): void {
  for (const cells of [50, 400, 2000]) {
    const { lines, noded } = cuts(cells);
    const ruled = ruledLines(
      lines.map((line) => stroke(...line)),
      0.001,
    );
    const features = featureCollection(
      noded.map(([x0, y0, x1, y1]) =>
        lineString([
          [x0, y0],
          [x1, y1],
        ]),
      ),
    );
    report(
      `Faces of the linework of ${cells.toLocaleString('en')} cells`,
      '@turf/polygonize',
      inTurns(
        () => void facesOf(ruled, FRAME, 0.003),
        () => void polygonize(features),
        60,
        Math.ceil(8000 / cells),
      ),
    );
  }
}
