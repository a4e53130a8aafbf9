import type { Finding } from '../check';
import type { Design } from '../design';
import { setDimension } from '../design';
import { lengthAsFormula } from '../quantity';

/** A change of one dimension that takes errors away, for one size or for all that have no value of their own. */
export interface Remedy {
  dimension: string;
  /** The size whose value changes. */
  size: string;
  /** Lengths in mm. */
  from: number;
  to: number;
  /** Errors on that size before and after. */
  before: number;
  after: number;
  /** The design with the change. */
  design: Design;
}

/** What one size of a design comes to: its dimensions in mm, and its findings. Undefined where it cannot be solved. */
export type Trial = (
  design: Design,
  size: string,
) => { dimensions: ReadonlyMap<string, number>; findings: readonly Finding[] } | undefined;

/** No dimension is tried beyond this many times its length, or beyond this many mm of change. */
const MOST_CHANGE = 200;
/** Dimensions tried per size; those of a design rarely pass twenty. */
const MOST_DIMENSIONS = 60;

interface Errors {
  count: number;
  /** Sum of the millimetres they are off by. */
  off: number;
}

function errorsOf(findings: readonly Finding[]): Errors {
  const errors = findings.filter((each) => each.weight === 'error');
  return { count: errors.length, off: errors.reduce((sum, each) => sum + (each.by ?? 0), 0) };
}

const fewer = (a: Errors, b: Errors): boolean => a.count < b.count;

/**
 * What it would take: for every size with errors, the smallest change of a dimension that removes as many of them as one
 * dimension can. A change is looked for in doubling steps in both directions, then narrowed down to one increment.
 * @param trial solves a design for one size
 * @param increment steps of the result in mm
 * @returns the remedies of each size, the one that removes most first, the smaller change before the larger
 */
export function whatItWouldTake(design: Design, trial: Trial, increment: number): Remedy[] {
  const remedies: Remedy[] = [];
  if (design.locked) return remedies;
  for (const { size } of design.sizes) {
    const now = trial(design, size);
    if (!now) continue;
    const before = errorsOf(now.findings);
    if (before.count === 0) continue;
    const found: Remedy[] = [];
    for (const { name } of design.dimensions.slice(0, MOST_DIMENSIONS)) {
      const from = now.dimensions.get(name);
      if (from === undefined) continue;
      for (const direction of [1, -1] as const) {
        const remedy = smallest(design, trial, size, name, from, direction, before, increment);
        if (remedy) found.push(remedy);
      }
    }
    found.sort((a, b) => a.after - b.after || Math.abs(a.to - a.from) - Math.abs(b.to - b.from));
    remedies.push(...found);
  }
  return remedies;
}

function smallest(
  design: Design,
  trial: Trial,
  size: string,
  dimension: string,
  from: number,
  direction: 1 | -1,
  before: Errors,
  increment: number,
): Remedy | undefined {
  const start = Math.round(from / increment) * increment;
  const lengthAt = (steps: number): number => start + direction * steps * increment;
  const tried = new Map<number, { design: Design; errors: Errors } | undefined>();
  const at = (steps: number): { design: Design; errors: Errors } | undefined => {
    if (tried.has(steps)) return tried.get(steps);
    const length = lengthAt(steps);
    const changed =
      length > 0 ? setDimension(design, dimension, lengthAsFormula(length, design.unit), size) : undefined;
    const solved = changed && trial(changed, size);
    const result = changed && solved ? { design: changed, errors: errorsOf(solved.findings) } : undefined;
    tried.set(steps, result);
    return result;
  };
  // A dimension that the errors do not depend on, or that makes them worse in this direction, is left at once.
  const first = at(1);
  if (!first || first.errors.off >= before.off - 1e-9) {
    if (!first || !fewer(first.errors, before)) return undefined;
  }
  const most = Math.floor(Math.min(MOST_CHANGE, Math.max(from * 3, 20)) / increment);
  let best: number | undefined;
  for (let steps = 1; ; steps = Math.min(most, steps * 2)) {
    const here = at(steps);
    if (!here) break;
    const known = best === undefined ? before : (at(best)?.errors ?? before);
    if (fewer(here.errors, known)) best = steps;
    if (here.errors.count === 0 || steps === most) break;
  }
  if (best === undefined) return undefined;
  const count = at(best)?.errors.count ?? 0;
  let [low, high] = [0, best];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    const here = at(middle);
    if (here && here.errors.count <= count) high = middle;
    else low = middle;
  }
  const result = at(high);
  if (!result) return undefined;
  return {
    dimension,
    size,
    from,
    to: lengthAt(high),
    before: before.count,
    after: result.errors.count,
    design: result.design,
  };
}
