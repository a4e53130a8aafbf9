import type { View } from '@mendrel/core';
import { mergedFields } from './mergedFields';

/**
 * The views of a sheet after a change that was made of them as they were seen: whoever changes a scale just after an extent has not seen
 * the extent kept yet. What became of views meanwhile stays: those that went are not brought back, those that came stay at the end.
 */
export function mergedViews(now: readonly View[], seen: readonly View[], next: readonly View[]): View[] {
  const nowById = new Map(now.map((view) => [view.id, view]));
  const seenById = new Map(seen.map((view) => [view.id, view]));
  const known = new Set([...seenById.keys(), ...next.map(({ id }) => id)]);
  return [
    ...next.flatMap((view) => {
      const was = seenById.get(view.id);
      const is = nowById.get(view.id);
      if (was && is) return [mergedFields(is, was, view)];
      return was ? [] : [view];
    }),
    ...now.filter(({ id }) => !known.has(id)),
  ];
}
