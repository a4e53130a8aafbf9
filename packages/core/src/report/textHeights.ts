import type { Design } from '../design';
import { cellsOf, rolesOf } from '../design';
import type { OfficeStandard } from '../standard';
import { roleOf } from '../standard';
import { nearPairs } from './nearPairs';

/** A height of lettering that designs of an office ask for. */
export interface TextHeight {
  /** Of capitals, in mm. */
  height: number;
  /** Names of the roles that have it. */
  roles: string[];
  /** The designs with texts of that height, by their place in the list that was asked about, and how many texts each has. */
  designs: { place: number; texts: number }[];
  /** Whether the office's series of heights has it. */
  inSeries: boolean;
  /** Heights so near to it that they look alike, in mm. */
  near: number[];
}

/** A design with the standard that it keeps to. */
export interface DesignOnStandard {
  design: Design;
  standard: OfficeStandard;
}

/** Heights are told apart to a hundredth of a millimetre, which no eye and no plotter does. */
const key = (height: number): number => Math.round(height * 100) / 100;

/**
 * The heights of lettering that designs use, least first: every text, heading and column of a table counts once, with the height of
 * its role.
 * @param series the heights of the office, in mm
 */
export function textHeights(designs: readonly DesignOnStandard[], series: readonly number[]): TextHeight[] {
  const found = new Map<number, { roles: Set<string>; texts: Map<number, number> }>();
  designs.forEach(({ design, standard }, place) => {
    for (const { cell } of cellsOf(design)) {
      for (const id of cell.contents.flatMap(rolesOf)) {
        const role = roleOf(standard, id);
        if (!role) continue;
        const at = found.get(key(role.height)) ?? { roles: new Set<string>(), texts: new Map<number, number>() };
        found.set(key(role.height), at);
        at.roles.add(role.name);
        at.texts.set(place, (at.texts.get(place) ?? 0) + 1);
      }
    }
  });
  const pairs = nearPairs([...found.keys()], (height) => height);
  return [...found]
    .sort(([a], [b]) => a - b)
    .map(([height, { roles, texts }]) => ({
      height,
      roles: [...roles].sort(),
      designs: [...texts].map(([place, count]) => ({ place, texts: count })),
      inSeries: series.some((each) => key(each) === height),
      near: pairs.filter((pair) => pair.includes(height)).map(([a, b]) => (a === height ? b : a)),
    }));
}
