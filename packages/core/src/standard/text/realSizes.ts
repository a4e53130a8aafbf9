import type { Scale } from '../../quantity';
import { isImperial, parseScale, realSizeHeight } from '../../quantity';
import type { LetteringRole } from './lettering';
import type { OfficeStandard } from '../officeStandard';

/** Lettering heights for drawings made at real size: for every scale the height that prints as the role's own. */
export interface RealSizeTable {
  roles: LetteringRole[];
  rows: { scale: Scale; heights: number[] }[];
}

/**
 * The heights to use in a drawing made at real size, in mm, for each lettering role and each scale in use. Roles in
 * inches go with scales in feet and inches, the others with ratios.
 */
export function realSizeTable(standard: OfficeStandard, system: 'metric' | 'imperial'): RealSizeTable {
  const imperial = system === 'imperial';
  const roles = standard.roles.filter((role) => (role.unit === 'in') === imperial && role.use !== 'zone');
  const rows = standard.scales
    .map(parseScale)
    .filter((scale) => isImperial(scale) === imperial)
    .map((scale) => ({ scale, heights: roles.map((role) => realSizeHeight(role.height, scale)) }));
  return { roles, rows };
}
