import type { Matrix } from '../../geometry/matrix';
import { IDENTITY } from '../../geometry/matrix';

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
