import { ellipsePoints, splinePoints } from './curves';
import { interpolatedPoints } from './interpolation';
import type { DxfCommon, DxfEntity } from './document';
import { newBase, NO_MORE, nextOwn, passOverRest } from './ownPairs';
import type { DxfTokens } from './tokens';
import { DxfError } from './tokens';

/** A polyline, a curve or a boundary has at most so many points. */
export const MOST_POINTS = 1_000_000;

export function addPoint(points: number[], x: number, tokens: DxfTokens): void {
  if (points.length > 2 * MOST_POINTS) throw new DxfError(tokens.line, `a polyline has over ${MOST_POINTS} points`);
  points.push(x, 0);
}

const NO_POINTS: [number, number, number, number] = [0, 0, 0, 0];

export function line(tokens: DxfTokens): DxfEntity {
  const read = { type: 'LINE' as const, points: NO_POINTS, layer: '0', line: tokens.line, paperSpace: false };
  let [x0, y0, x1, y1] = NO_POINTS;
  for (let code = nextOwn(tokens, read); code !== NO_MORE; code = nextOwn(tokens, read)) {
    if (code === 10) x0 = tokens.number();
    else if (code === 20) y0 = tokens.number();
    else if (code === 11) x1 = tokens.number();
    else if (code === 21) y1 = tokens.number();
  }
  read.points = [x0, y0, x1, y1];
  return read;
}

export function lightPolyline(tokens: DxfTokens): DxfEntity {
  const points: number[] = [];
  // Hardly any polyline has arcs in it, so nothing is kept of them until one comes.
  let bulges: number[] | undefined;
  const read: Extract<DxfEntity, { type: 'POLYLINE' }> = {
    type: 'POLYLINE',
    points,
    closed: false,
    layer: '0',
    line: tokens.line,
    paperSpace: false,
  };
  for (let code = nextOwn(tokens, read); code !== NO_MORE; code = nextOwn(tokens, read)) {
    if (code === 10) addPoint(points, tokens.number(), tokens);
    else if (code === 20) points[points.length - 1] = tokens.number();
    else if (code === 42) {
      const bulge = tokens.number();
      if (bulge === 0 || points.length === 0) continue;
      bulges ??= [];
      while (bulges.length < points.length / 2) bulges.push(0);
      bulges[points.length / 2 - 1] = bulge;
    } else if (code === 43) {
      const width = tokens.number();
      if (width > 0) read.width = width;
    } else if (code === 70) read.closed = (tokens.number() & 1) === 1;
  }
  if (bulges) {
    while (bulges.length < points.length / 2) bulges.push(0);
    read.bulges = bulges;
  }
  return read;
}

const CONTROL_VERTEX = 16;

/** A POLYLINE with its VERTEX entities and SEQEND. */
export function heavyPolyline(tokens: DxfTokens): DxfEntity {
  let flags = 0;
  let width = 0;
  const base = newBase(tokens);
  for (let code = nextOwn(tokens, base); code !== NO_MORE; code = nextOwn(tokens, base)) {
    if (code === 70) flags = tokens.number();
    else if (code === 40) width = tokens.number();
  }
  const points: number[] = [];
  const bulges: number[] = [];
  while (tokens.next()) {
    if (tokens.is('SEQEND')) {
      passOverRest(tokens, newBase(tokens));
      break;
    }
    if (!tokens.is('VERTEX')) {
      tokens.hold();
      break;
    }
    addPoint(points, 0, tokens);
    bulges.push(0);
    // Of a polyline that was smoothed, the points that pulled at it are kept beside those it goes through.
    if ((readVertex(tokens, points, bulges) & CONTROL_VERTEX) !== 0) {
      points.length -= 2;
      bulges.length--;
    }
  }
  return {
    type: 'POLYLINE',
    points,
    closed: (flags & 1) === 1,
    ...base,
    ...(width > 0 ? { width } : {}),
    ...(bulges.some((bulge) => bulge !== 0) ? { bulges } : {}),
  };
}

/** Reads a VERTEX into the last point and bulge. @returns its flags */
function readVertex(tokens: DxfTokens, points: number[], bulges: number[]): number {
  let flags = 0;
  const base = newBase(tokens);
  for (let code = nextOwn(tokens, base); code !== NO_MORE; code = nextOwn(tokens, base)) {
    if (code === 70) flags = tokens.number();
    else if (code === 10) points[points.length - 2] = tokens.number();
    else if (code === 20) points[points.length - 1] = tokens.number();
    else if (code === 42) bulges[bulges.length - 1] = tokens.number();
  }
  return flags;
}

export function arc(tokens: DxfTokens): DxfEntity {
  const at = { x: 0, y: 0, radius: 0, from: 0, to: 360 };
  const base = newBase(tokens);
  for (let code = nextOwn(tokens, base); code !== NO_MORE; code = nextOwn(tokens, base)) {
    if (code === 10) at.x = tokens.number();
    else if (code === 20) at.y = tokens.number();
    else if (code === 40) at.radius = tokens.number();
    else if (code === 50) at.from = tokens.number();
    else if (code === 51) at.to = tokens.number();
  }
  return { type: 'ARC', ...at, ...base };
}

/** What stands in the world's own plane, whatever direction it says. */
function withoutExtrusion({ extrusion: _extrusion, ...base }: DxfCommon): DxfCommon {
  return base;
}

/** ELLIPSE: its major axis by its end, as parts of the whole by parameters. It stands in the world's own plane. */
export function ellipse(tokens: DxfTokens): DxfEntity {
  const at = { x: 0, y: 0, majorX: 1, majorY: 0, ratio: 1, from: 0, to: 2 * Math.PI };
  const base = newBase(tokens);
  for (let code = nextOwn(tokens, base); code !== NO_MORE; code = nextOwn(tokens, base)) {
    if (code === 10) at.x = tokens.number();
    else if (code === 20) at.y = tokens.number();
    else if (code === 11) at.majorX = tokens.number();
    else if (code === 21) at.majorY = tokens.number();
    else if (code === 40) at.ratio = tokens.number();
    else if (code === 41) at.from = tokens.number();
    else if (code === 42) at.to = tokens.number();
  }
  // Seen from below, the minor axis lies on the other side.
  if ((base.extrusion?.[2] ?? 1) < 0) at.ratio = -at.ratio;
  return { type: 'CURVE', points: ellipsePoints(at), ...withoutExtrusion(base) };
}

export function spline(tokens: DxfTokens): DxfEntity {
  const [knots, controls, weights, through]: [number[], number[], number[], number[]] = [[], [], [], []];
  /** Where it begins and ends to, x and y; none where the file does not say. */
  const [begins, ends]: [[number, number], [number, number]] = [
    [0, 0],
    [0, 0],
  ];
  let degree = 3;
  const base = newBase(tokens);
  for (let code = nextOwn(tokens, base); code !== NO_MORE; code = nextOwn(tokens, base)) {
    if (code === 10) addPoint(controls, tokens.number(), tokens);
    else if (code === 20 && controls.length > 0) controls[controls.length - 1] = tokens.number();
    else if (code === 11) addPoint(through, tokens.number(), tokens);
    else if (code === 21 && through.length > 0) through[through.length - 1] = tokens.number();
    else if (code === 40 && knots.length < MOST_POINTS) knots.push(tokens.number());
    else if (code === 41 && weights.length < MOST_POINTS) weights.push(tokens.number());
    else if (code === 12) begins[0] = tokens.number();
    else if (code === 22) begins[1] = tokens.number();
    else if (code === 13) ends[0] = tokens.number();
    else if (code === 23) ends[1] = tokens.number();
    else if (code === 71) degree = tokens.number();
  }
  return {
    type: 'CURVE',
    points:
      controls.length > 0
        ? splinePoints({ degree, knots, controls, weights })
        : interpolatedPoints({ through, begins, ends }),
    ...withoutExtrusion(base),
  };
}

/** The four corners of a 3DFACE, SOLID or TRACE, one after the other. */
export function readCorners(tokens: DxfTokens, base: DxfCommon): number[] {
  const corners = [0, 0, 0, 0, 0, 0, 0, 0];
  for (let code = nextOwn(tokens, base); code !== NO_MORE; code = nextOwn(tokens, base)) {
    if (code >= 10 && code <= 13) corners[(code - 10) * 2] = tokens.number();
    else if (code >= 20 && code <= 23) corners[(code - 20) * 2 + 1] = tokens.number();
  }
  return corners;
}

/** 3DFACE: its outline, seen from above; edges marked as hidden are drawn all the same. */
export function face(tokens: DxfTokens): DxfEntity {
  const base = newBase(tokens);
  const points = readCorners(tokens, base);
  return { type: 'POLYLINE', points, closed: true, ...withoutExtrusion(base) };
}
