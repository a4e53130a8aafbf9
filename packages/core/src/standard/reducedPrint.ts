import type { LetteringRole } from './lettering';
import type { OfficeStandard } from './officeStandard';
import { sheetExtent, sheetSize } from './sheetSizes';

/** A lettering role on a sheet that is printed on smaller paper. */
export interface ReducedRole {
  role: LetteringRole;
  /** Height on the reduced print in mm. */
  height: number;
  legible: boolean;
}

/**
 * The linear factor by which a sheet shrinks when it is printed on another size: A1 on A3 comes to about a half.
 * @throws UnknownSizeError
 */
export function reduction(from: string, to: string): number {
  const [large, small] = [sheetExtent(sheetSize(from), 'landscape'), sheetExtent(sheetSize(to), 'landscape')];
  return Math.min(small.width / large.width, small.height / large.height);
}

/**
 * Which roles stay legible on a reduced print. Common practice: an A1 sheet printed on A3 is half size, so lettering of
 * 3.5 mm comes out at 1.75 mm.
 * @param least the office's least legible height in mm
 */
export function reducedPrint(standard: OfficeStandard, from: string, to: string, least: number): ReducedRole[] {
  const factor = reduction(from, to);
  return standard.roles.map((role) => {
    const height = role.height * factor;
    return { role, height, legible: height >= least - 0.005 };
  });
}
