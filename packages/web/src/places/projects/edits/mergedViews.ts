import type { View } from '@mendrel/core';

/** A view as it is by now, with what was changed of it as it was seen. */
function withChange(now: View, seen: View, next: View): View {
  const merged: Record<string, unknown> = { ...now };
  for (const key of new Set([...Object.keys(seen), ...Object.keys(next)])) {
    const value = next[key as keyof View];
    if (value === seen[key as keyof View]) continue;
    if (value === undefined) delete merged[key];
    else merged[key] = value;
  }
  // All of it comes from views, each field from one of them.
  return merged as View;
}

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
      if (was && is) return [withChange(is, was, view)];
      return was ? [] : [view];
    }),
    ...now.filter(({ id }) => !known.has(id)),
  ];
}
