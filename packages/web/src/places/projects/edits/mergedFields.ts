/**
 * The fields of something as they are by now, with what was made others of them as they were seen. A field that a change left out goes.
 */
export function mergedFields<T extends object>(now: T, seen: T, next: T): T {
  const merged = { ...now };
  for (const key of new Set([...Object.keys(seen), ...Object.keys(next)]) as Set<keyof T>) {
    if (next[key] === seen[key]) continue;
    if (next[key] === undefined) delete merged[key];
    else merged[key] = next[key];
  }
  return merged;
}
