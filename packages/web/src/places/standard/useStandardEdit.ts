import { useMemo } from 'react';
import type { OfficeStandard, Problem } from '@mendrel/core';
import { officeStandardSchema, problemsIn, standardProblems } from '@mendrel/core';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { standardEdited } from './standardSlice';

/** What is wrong with the draft as it is: what the schema refuses, or what its tables contradict. */
function problemsOf(standard: OfficeStandard): Problem[] {
  const read = officeStandardSchema.safeParse(standard);
  if (read.success) return standardProblems(standard);
  return read.error.issues.map(({ path, message }) => ({ where: path.map(String).join('.'), message }));
}

/** The draft being edited, and ways to change it. */
export interface StandardEdit {
  standard: OfficeStandard;
  problems: Problem[];
  problemsIn: (table: keyof OfficeStandard) => Problem[];
  /** Changes a part of the draft; what follows in the same field is one step for undo. */
  change: (part: Partial<OfficeStandard>, field?: string) => void;
}

/** The draft for the part of the Standard place that is on screen. @throws when no draft is open */
export function useStandardEdit(): StandardEdit {
  const dispatch = useAppDispatch();
  const standard = useAppSelector((root) => root.standard.present);
  if (!standard) throw new Error('no draft of the standard is open');
  return useMemo(() => {
    const problems = problemsOf(standard);
    return {
      standard,
      problems,
      problemsIn: (table) => problemsIn(problems, table),
      change: (part, field) =>
        void dispatch(
          standardEdited({ standard: { ...standard, ...part }, ...(field === undefined ? {} : { field }) }),
        ),
    };
  }, [standard, dispatch]);
}

/** An id that no row has yet. */
export function freshId(rows: readonly { id: string }[], prefix: string): string {
  for (let n = rows.length + 1; ; n++) {
    const id = `${prefix}-${n}`;
    if (!rows.some((row) => row.id === id)) return id;
  }
}

/** A name that no row has yet: `New pen`, `New pen 2` … */
export function freshName(rows: readonly { name: string }[], name: string): string {
  const taken = new Set(rows.map((row) => row.name.trim().toLowerCase()));
  for (let n = 1; ; n++) {
    const proposal = n === 1 ? name : `${name} ${n}`;
    if (!taken.has(proposal.toLowerCase())) return proposal;
  }
}
