import type { OfficeStandard } from '../officeStandard';
import { sizesOf } from '../officeStandard';
import { sheetExtent, sheetSize } from '../sheets';
import type { LetteringRole } from './lettering';

/** A sheet size and the smaller one that the office prints it on. */
export type ReducedPair = OfficeStandard['reducedPrints'][number];

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
export function reduction(standard: OfficeStandard, { from, to }: ReducedPair): number {
  const sizes = sizesOf(standard);
  const [large, small] = [from, to].map((name) => sheetExtent(sheetSize(name, sizes), 'landscape'));
  return large && small ? Math.min(small.width / large.width, small.height / large.height) : 1;
}

/**
 * Which roles stay legible on a reduced print, by the office's least legible height. Common practice: an A1 sheet printed
 * on A3 is half size, so lettering of 3.5 mm comes out at 1.75 mm.
 * @throws UnknownSizeError
 */
export function reducedPrint(standard: OfficeStandard, pair: ReducedPair): ReducedRole[] {
  const factor = reduction(standard, pair);
  return standard.roles.map((role) => {
    const height = role.height * factor;
    return { role, height, legible: height >= standard.leastHeight - 0.005 };
  });
}
