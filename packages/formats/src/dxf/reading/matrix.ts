/** A plane transformation: x' = a x + c y + e, y' = b x + d y + f. */
export type Matrix = [a: number, b: number, c: number, d: number, e: number, f: number];

export const IDENTITY: Matrix = [1, 0, 0, 1, 0, 0];

/** First n, then m. */
export function times(m: Matrix, n: Matrix): Matrix {
  return [
    m[0] * n[0] + m[2] * n[1],
    m[1] * n[0] + m[3] * n[1],
    m[0] * n[2] + m[2] * n[3],
    m[1] * n[2] + m[3] * n[3],
    m[0] * n[4] + m[2] * n[5] + m[4],
    m[1] * n[4] + m[3] * n[5] + m[5],
  ];
}

/** A point moved by a matrix. */
export const moved = (m: Matrix, x: number, y: number): [number, number] => [
  m[0] * x + m[2] * y + m[4],
  m[1] * x + m[3] * y + m[5],
];

/**
 * The plane of an entity with an extrusion direction, seen from above, by the arbitrary axis rule of the DXF reference. A
 * direction straight down, by far the commonest, mirrors x.
 */
export function planeOf([x, y, z]: readonly [number, number, number]): Matrix {
  const length = Math.hypot(x, y, z);
  if (!(length > 0)) return IDENTITY;
  const [nx, ny, nz] = [x / length, y / length, z / length];
  const close = Math.abs(nx) < 1 / 64 && Math.abs(ny) < 1 / 64;
  // World y, or world z, crossed with the normal.
  const [ax, ay, az] = close ? [nz, 0, -nx] : [-ny, nx, 0];
  const unit = Math.hypot(ax, ay, az);
  const [ux, uy, uz] = [ax / unit, ay / unit, az / unit];
  return [ux, uy, ny * uz - nz * uy, nz * ux - nx * uz, 0, 0];
}
