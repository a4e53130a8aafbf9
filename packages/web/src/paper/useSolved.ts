import { useMemo, useState } from 'react';
import type { Design, Drawing, OfficeStandard, SheetLayout, TriedOn, Typefaces } from '@mendrel/core';
import { composeSheet, LayoutError, solveDesign } from '@mendrel/core';

/** A design solved for a size, or why it cannot be. */
export type Solved =
  | { size: string; layout: SheetLayout; drawing: Drawing; problem?: undefined }
  | { size: string; problem: { where: string; message: string } };

/** A design that was solved. */
export type Good = Extract<Solved, { problem?: undefined }>;

/** Solves and draws a design for one size. An error in a formula is a problem to show, not one to throw. */
export function solveFor(
  design: Design,
  size: string,
  tried: TriedOn,
  standard: OfficeStandard,
  typefaces: Typefaces,
): Solved {
  try {
    const layout = solveDesign(design, { size, ...tried, standard, typefaces });
    return { size, layout, drawing: composeSheet(design, layout, { standard, typefaces, values: tried.values }) };
  } catch (error) {
    if (error instanceof LayoutError) return { size, problem: { where: error.where, message: error.message } };
    return { size, problem: { where: '', message: error instanceof Error ? error.message : String(error) } };
  }
}

/** Designs whose solutions are kept. Undo keeps every design of a visit; their drawings must not pile up with them. */
const MOST_KNOWN = 24;

/** Solutions of the latest designs, the oldest first: what one part of the screen has solved another one shows as well. */
const known = new Map<Design, Map<string, { on: readonly unknown[]; solved: Solved }>>();

/** As `solveFor`, but a design that was solved for the same size and values before is not solved again. */
export function solvedOnce(
  design: Design,
  size: string,
  tried: TriedOn,
  standard: OfficeStandard,
  typefaces: Typefaces,
): Solved {
  const sizes = known.get(design) ?? new Map<string, { on: readonly unknown[]; solved: Solved }>();
  known.delete(design);
  known.set(design, sizes);
  for (const oldest of known.keys()) {
    if (known.size <= MOST_KNOWN) break;
    known.delete(oldest);
  }
  const on = [tried, standard, typefaces];
  const before = sizes.get(size);
  if (before && before.on.every((each, i) => each === on[i])) return before.solved;
  const solved = solveFor(design, size, tried, standard, typefaces);
  sizes.set(size, { on, solved });
  return solved;
}

/** The design solved for every size it serves. */
export function useSolvedSizes(
  design: Design,
  tried: TriedOn,
  standard: OfficeStandard,
  typefaces: Typefaces,
): Solved[] {
  return useMemo(
    () => design.sizes.map(({ size }) => solvedOnce(design, size, tried, standard, typefaces)),
    [design, tried, standard, typefaces],
  );
}

/** The last solution there was of the size shown. */
export function useLastGood(shown: Solved | undefined): Good | undefined {
  const now = shown?.problem ? undefined : shown;
  const [kept, setKept] = useState<Good>();
  if (now && kept !== now) setKept(now);
  return now ?? (kept?.size === shown?.size ? kept : undefined);
}
