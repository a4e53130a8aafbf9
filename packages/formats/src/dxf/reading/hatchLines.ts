import type { Matrix } from '../../geometry/matrix';
import type { HatchLines } from './document';

/** Lines that one area is filled with; where a pattern asks for more it is much too fine to be seen. */
const MOST_LINES = 4000;
/** Pieces of dashes in one area. */
const MOST_PIECES = 40_000;

/**
 * The lines of a hatch within its rings, by the even-odd rule; as points x, y, x, y of straight pieces.
 * @param rings in the space that the matrix leads to
 * @param matrix from the space of the hatch to where it is drawn
 */
export function hatchStrokes(rings: readonly number[][], pattern: readonly HatchLines[], matrix: Matrix): number[][] {
  const strokes: number[][] = [];
  for (const lines of pattern) {
    if (strokes.length >= MOST_PIECES) break;
    addLines(rings, lines, matrix, strokes);
  }
  return strokes;
}

function addLines(rings: readonly number[][], lines: HatchLines, matrix: Matrix, strokes: number[][]): void {
  const radians = (lines.angle * Math.PI) / 180;
  const along = direction(matrix, Math.cos(radians), Math.sin(radians));
  const step = direction(matrix, lines.step[0], lines.step[1]);
  const stretch = Math.hypot(along[0], along[1]);
  if (!(stretch > 0)) return;
  const [ux, uy] = [along[0] / stretch, along[1] / stretch];
  // How far each line stands from the one before it, and how far its dashes are shifted.
  const distance = step[0] * -uy + step[1] * ux;
  const shift = step[0] * ux + step[1] * uy;
  if (!(Math.abs(distance) > 0)) return;
  const [bx, by] = [
    matrix[0] * lines.base[0] + matrix[2] * lines.base[1] + matrix[4],
    matrix[1] * lines.base[0] + matrix[3] * lines.base[1] + matrix[5],
  ];
  // Every point as how far along a line it lies, and on which line, counted from the base.
  const turned = rings.map((ring) => {
    const out = new Array<number>(ring.length);
    for (let i = 0; i + 1 < ring.length; i += 2) {
      const [x, y] = [(ring[i] ?? 0) - bx, (ring[i + 1] ?? 0) - by];
      out[i] = x * ux + y * uy;
      out[i + 1] = (x * -uy + y * ux) / distance;
    }
    return out;
  });
  let [low, high] = [Infinity, -Infinity];
  for (const ring of turned)
    for (let i = 1; i < ring.length; i += 2) {
      low = Math.min(low, ring[i] ?? 0);
      high = Math.max(high, ring[i] ?? 0);
    }
  const [first, last] = [Math.ceil(low), Math.floor(high)];
  if (!(last - first <= MOST_LINES)) return;
  const dashes = lines.dashes.map((each) => each * stretch);
  for (let n = first; n <= last; n++) {
    const crossings = crossingsAt(turned, n);
    for (let i = 0; i + 1 < crossings.length; i += 2) {
      for (const [from, to] of dashed(crossings[i] ?? 0, crossings[i + 1] ?? 0, dashes, n * shift)) {
        if (strokes.length >= MOST_PIECES) return;
        const [ox, oy] = [bx - uy * distance * n, by + ux * distance * n];
        strokes.push([ox + ux * from, oy + uy * from, ox + ux * to, oy + uy * to]);
      }
    }
  }
}

const direction = (matrix: Matrix, x: number, y: number): [number, number] => [
  matrix[0] * x + matrix[2] * y,
  matrix[1] * x + matrix[3] * y,
];

/** Where a line crosses the rings, in order. */
function crossingsAt(rings: readonly number[][], line: number): number[] {
  const found: number[] = [];
  for (const ring of rings) {
    const count = ring.length / 2;
    for (let i = 0; i < count; i++) {
      const j = (i + 1) % count;
      const [y0, y1] = [ring[2 * i + 1] ?? 0, ring[2 * j + 1] ?? 0];
      // Each corner counts for one of its two edges, so that a line through it crosses once.
      if (y0 <= line === y1 <= line) continue;
      const [x0, x1] = [ring[2 * i] ?? 0, ring[2 * j] ?? 0];
      found.push(x0 + ((line - y0) / (y1 - y0)) * (x1 - x0));
    }
  }
  return found.sort((a, b) => a - b);
}

/** The parts of a stretch that dashes cover; all of it where there are none. Dots are left out. */
function dashed(from: number, to: number, dashes: readonly number[], shift: number): [number, number][] {
  const period = dashes.reduce((sum, each) => sum + Math.abs(each), 0);
  if (!(period > 0)) return [[from, to]];
  if ((to - from) / period > MOST_LINES) return [[from, to]];
  const parts: [number, number][] = [];
  let at = shift + Math.floor((from - shift) / period) * period;
  while (at < to) {
    for (const each of dashes) {
      const [begins, ends] = [Math.max(from, at), Math.min(to, at + Math.abs(each))];
      if (each > 0 && ends > begins) parts.push([begins, ends]);
      at += Math.abs(each);
    }
  }
  return parts;
}
