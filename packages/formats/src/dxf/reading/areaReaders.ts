import { ellipsePoints, splinePoints } from './curves';
import type { DxfEntity, DxfImage, HatchLines } from './document';
import { interpolatedPoints } from './interpolation';
import { addPoint, MOST_POINTS, readCorners } from './lineReaders';
import { newBase, NO_MORE, nextOwn } from './ownPairs';
import type { DxfTokens } from './tokens';

/** SOLID and TRACE: four corners, the last two crossed over. */
export function solid(tokens: DxfTokens): DxfEntity {
  const base = newBase(tokens);
  const [x0 = 0, y0 = 0, x1 = 0, y1 = 0, x2 = 0, y2 = 0, x3 = 0, y3 = 0] = readCorners(tokens, base);
  return { type: 'FILL', rings: [[x0, y0, x1, y1, x3, y3, x2, y2]], ...base };
}

/** IMAGE: the place of a picture; its file is named by an object of its own. */
export function image(tokens: DxfTokens): DxfImage {
  const read: DxfImage = {
    type: 'IMAGE',
    corner: [0, 0],
    right: [1, 0],
    up: [0, 1],
    size: [0, 0],
    definition: '',
    ...newBase(tokens),
  };
  const pairs = { 10: read.corner, 11: read.right, 12: read.up, 13: read.size };
  for (let code = nextOwn(tokens, read); code !== NO_MORE; code = nextOwn(tokens, read)) {
    const across = pairs[code as keyof typeof pairs];
    const up = pairs[(code - 10) as keyof typeof pairs];
    if (across) across[0] = tokens.number();
    else if (up) up[1] = tokens.number();
    else if (code === 340) read.definition = tokens.text().trim();
  }
  return read;
}

/** HATCH: its boundaries, of polylines with their bulges or of edges that are lines, arcs, ellipses and splines. */
export function hatch(tokens: DxfTokens): DxfEntity {
  const rings: number[][] = [];
  let ring: number[] | undefined;
  let boundaries = false;
  let polyline = false;
  let edge: { kind: number; values: Map<number, number[]> } | undefined;
  const closeEdge = (): void => {
    if (edge && ring) ring.push(...edgePoints(edge.kind, edge.values));
    edge = undefined;
  };
  const base = newBase(tokens);
  const pattern: HatchLines[] = [];
  let solid = true;
  for (let code = nextOwn(tokens, base); code !== NO_MORE; code = nextOwn(tokens, base)) {
    if (!boundaries && readPattern(code, tokens, pattern)) continue;
    if (code === 70 && !boundaries && rings.length === 0) solid = tokens.number() === 1;
    else if (code === 91) boundaries = true;
    else if (code === 92) {
      closeEdge();
      polyline = (tokens.number() & 2) === 2;
      ring = [];
      rings.push(ring);
    } else if (code === 98 || code === 75) {
      closeEdge();
      boundaries = false;
    } else if (!boundaries || !ring) continue;
    else if (polyline) {
      if (code === 10) addPoint(ring, tokens.number(), tokens);
      else if (code === 20 && ring.length > 0) ring[ring.length - 1] = tokens.number();
    } else if (code === 72) {
      closeEdge();
      edge = { kind: tokens.number(), values: new Map() };
    } else if (edge && code !== 97 && code !== 330) {
      const known = edge.values.get(code) ?? [];
      if (known.length < MOST_POINTS) known.push(tokens.number());
      edge.values.set(code, known);
    }
  }
  const whole = rings.filter((each) => each.length >= 6);
  return { type: 'FILL', rings: whole, ...(solid ? {} : { pattern }), ...base };
}

/** Lines of a pattern and lengths of one of them that are read. */
const MOST_PATTERN_LINES = 60;
const MOST_PATTERN_DASHES = 20;

/** Reads a pair of a pattern's definition, where it is one. */
function readPattern(code: number, tokens: DxfTokens, pattern: HatchLines[]): boolean {
  if (code === 53) {
    if (pattern.length < MOST_PATTERN_LINES)
      pattern.push({ angle: tokens.number(), base: [0, 0], step: [0, 0], dashes: [] });
    return true;
  }
  const last = pattern.at(-1);
  if (!last) return false;
  if (code === 43) last.base[0] = tokens.number();
  else if (code === 44) last.base[1] = tokens.number();
  else if (code === 45) last.step[0] = tokens.number();
  else if (code === 46) last.step[1] = tokens.number();
  else if (code === 49) {
    if (last.dashes.length < MOST_PATTERN_DASHES) last.dashes.push(tokens.number());
  } else return false;
  return true;
}

/** Points along one edge of a hatch: 1 line, 2 arc, 3 ellipse, 4 spline. Angles are in degrees. */
function edgePoints(kind: number, values: ReadonlyMap<number, readonly number[]>): number[] {
  const value = (code: number): number => values.get(code)?.[0] ?? 0;
  const radians = (code: number): number => (value(code) * Math.PI) / 180;
  if (kind === 1) return [value(10), value(20), value(11), value(21)];
  if (kind === 2 || kind === 3) {
    const left = value(73) !== 0;
    // Clockwise ones are stored with their angles turned over.
    const [from, to] = left ? [radians(50), radians(51)] : [-radians(51), -radians(50)];
    const major = kind === 2 ? { majorX: value(40), majorY: 0 } : { majorX: value(11), majorY: value(21) };
    const points = ellipsePoints({ x: value(10), y: value(20), ...major, ratio: kind === 2 ? 1 : value(40), from, to });
    if (left) return points;
    const back: number[] = [];
    for (let i = points.length - 2; i >= 0; i -= 2) back.push(points[i] ?? 0, points[i + 1] ?? 0);
    return back;
  }
  if (kind !== 4) return [];
  const list = (code: number): readonly number[] => values.get(code) ?? [];
  const pairsOf = (x: number, y: number): number[] => list(x).flatMap((each, i) => [each, list(y)[i] ?? 0]);
  const controls = pairsOf(10, 20);
  if (controls.length === 0) return interpolatedPoints({ through: pairsOf(11, 21) });
  return splinePoints({ degree: value(94), knots: list(40), controls, weights: list(42) });
}
