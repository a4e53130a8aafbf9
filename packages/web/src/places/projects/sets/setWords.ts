import type { SheetSet } from '@mendrel/contract';

/** What a set is called: a value like any other, so that it is entered in one place. */
export const nameOf = ({ values }: Pick<SheetSet, 'values'>): string => values['set.name'] ?? 'Unnamed set';

/** A name that no set has yet. */
export function freshName(sets: readonly SheetSet[]): string {
  const names = new Set(sets.map(nameOf));
  for (let i = sets.length + 1; ; i++) if (!names.has(`Set ${i}`)) return `Set ${i}`;
}
