/** Pieces that a quarter of an ellipse is cut into: what they leave out of its area is less than a two-thousandth. */
const PIECES_PER_QUARTER = 32;
/** Pieces that each span of a spline is cut into, and points that one comes to at most. */
const PIECES_PER_SPAN = 8;
const MOST_POINTS = 4000;

/** An ellipse or a part of one: from and to are parameters in radians. The minor axis is turned left from the major one. */
export interface Ellipse {
  x: number;
  y: number;
  majorX: number;
  majorY: number;
  ratio: number;
  from: number;
  to: number;
}

/** Points along an ellipse. */
export function ellipsePoints({ x, y, majorX, majorY, ratio, from, to }: Ellipse): number[] {
  const whole = 2 * Math.PI;
  const sweep = (((to - from) % whole) + whole) % whole || whole;
  const pieces = Math.max(2, Math.ceil((sweep / (Math.PI / 2)) * PIECES_PER_QUARTER));
  const points: number[] = [];
  for (let i = 0; i <= pieces; i++) {
    const t = from + (sweep * i) / pieces;
    const [c, s] = [Math.cos(t), Math.sin(t) * ratio];
    points.push(x + majorX * c - majorY * s, y + majorY * c + majorX * s);
  }
  return points;
}

/** A rational B-spline by its control points. */
export interface Spline {
  degree: number;
  knots: readonly number[];
  /** x, y by turns. */
  controls: readonly number[];
  weights: readonly number[];
}

/** Points along a spline, by de Boor's scheme; one that is not sound comes out as the polygon of its points. */
export function splinePoints({ degree, knots, controls, weights }: Spline): number[] {
  const count = controls.length / 2;
  const sound =
    degree >= 1 &&
    degree <= 12 &&
    count > degree &&
    knots.length === count + degree + 1 &&
    knots.every((knot, i) => i === 0 || knot >= (knots[i - 1] ?? 0));
  if (!sound) return [...controls];
  const points: number[] = [];
  const pieces = Math.max(1, Math.min(PIECES_PER_SPAN, Math.floor(MOST_POINTS / Math.max(1, count - degree))));
  for (let span = degree; span < count; span++) {
    const [from, to] = [knots[span] ?? 0, knots[span + 1] ?? 0];
    if (to <= from) continue;
    for (let i = points.length === 0 ? 0 : 1; i <= pieces; i++) {
      points.push(...pointAt(span, from + ((to - from) * i) / pieces, { degree, knots, controls, weights }));
    }
  }
  return points.length >= 4 ? points : [...controls];
}

function pointAt(span: number, t: number, { degree, knots, controls, weights }: Spline): [number, number] {
  const work: [number, number, number][] = [];
  for (let j = 0; j <= degree; j++) {
    const i = span - degree + j;
    const weight = weights[i] ?? 1;
    work.push([(controls[2 * i] ?? 0) * weight, (controls[2 * i + 1] ?? 0) * weight, weight]);
  }
  for (let level = 1; level <= degree; level++) {
    for (let j = degree; j >= level; j--) {
      const i = span - degree + j;
      const [low, high] = [knots[i] ?? 0, knots[i + degree - level + 1] ?? 0];
      const a = high > low ? (t - low) / (high - low) : 0;
      const [before, here] = [work[j - 1], work[j]];
      if (!before || !here) continue;
      work[j] = [
        (1 - a) * before[0] + a * here[0],
        (1 - a) * before[1] + a * here[1],
        (1 - a) * before[2] + a * here[2],
      ];
    }
  }
  const [x = 0, y = 0, w = 1] = work[degree] ?? [];
  return [x / (w || 1), y / (w || 1)];
}
