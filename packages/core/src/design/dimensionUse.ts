import { parseFormula } from '../formula';
import { formulasIn } from './formulas';
import type { Design } from './schema';

/** How one dimension hangs together with the rest of a design. */
export interface DimensionUse {
  name: string;
  /** Names that its formulas use. */
  dependsOn: string[];
  /** What uses it, in words; empty for one that nothing uses. */
  usedBy: string[];
}

/** What each dimension depends on and what uses it. Formulas that cannot be read use nothing. */
export function dimensionUses(design: Design): DimensionUse[] {
  const uses = formulasIn(design).map((use) => ({ ...use, names: namesIn(use.text) }));
  return design.dimensions.map(({ name }) => ({
    name,
    dependsOn: [...new Set(uses.filter((use) => use.dimension === name).flatMap((use) => use.names))],
    usedBy: [...new Set(uses.filter((use) => use.names.includes(name)).map((use) => use.what))],
  }));
}

/** The names that a formula uses; none for one that cannot be read. */
export function namesIn(text: string): readonly string[] {
  try {
    return parseFormula(text).names;
  } catch {
    // What cannot be read is reported where it stands.
    return [];
  }
}
