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

/** A frame cut in two again and again, as pieces between the points where lines meet. */
function cells(count: number): { pieces: Piece[]; frame: { x: number; y: number; width: number; height: number } } {
  const frame = { x: 0, y: 0, width: 800, height: 560 };
  const side = Math.ceil(Math.sqrt(count));
  const [w, h] = [frame.width / side, frame.height / side];
  const pieces: Piece[] = [];
  for (let i = 0; i < side; i++) {
    for (let j = 0; j <= side; j++) {
      pieces.push([i * w, j * h, (i + 1) * w, j * h], [j * w, i * h, j * w, (i + 1) * h]);
    }
  }
  return { pieces, frame };
}

/** Faces of the linework of 400 cells. */
export function benchFaces(): void {
  const { pieces, frame } = cells(400);
  const items = pieces.map((piece) => stroke(...piece));
  const lines = featureCollection(
    pieces.map(([x0, y0, x1, y1]) =>
      lineString([
        [x0, y0],
        [x1, y1],
      ]),
    ),
  );
  report(
    'Faces of the linework of 400 cells',
    '@turf/polygonize',
    inTurns(
      () => void facesOf(ruledLines(items, 0.01), frame, 0.03),
      () => void polygonize(lines),
      20,
    ),
  );
}
