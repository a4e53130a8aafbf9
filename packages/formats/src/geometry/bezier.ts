/** A cubic curve in as many equal steps as its bend needs; `to` is given the end of each. */
export function bezier(
  x0: number,
  y0: number,
  x1: number,
  y1: number,
  x2: number,
  y2: number,
  x3: number,
  y3: number,
  flatness: number,
  to: (x: number, y: number) => void,
): void {
  const bend = Math.max(Math.hypot(x0 - 2 * x1 + x2, y0 - 2 * y1 + y2), Math.hypot(x1 - 2 * x2 + x3, y1 - 2 * y2 + y3));
  const steps = Math.max(1, Math.min(64, Math.ceil(Math.sqrt((0.75 * bend) / flatness))));
  for (let i = 1; i <= steps; i++) {
    const t = i / steps;
    const u = 1 - t;
    const [p, q, r, s] = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t];
    to(p * x0 + q * x1 + r * x2 + s * x3, p * y0 + q * y1 + r * y2 + s * y3);
  }
}
