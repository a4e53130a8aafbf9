/** Something with one of its optional parts set, or left out where it is undefined. */
export function withOptional<T extends object, Key extends keyof T>(from: T, key: Key, value: T[Key] | undefined): T {
  const next = { ...from };
  if (value === undefined) delete next[key];
  else next[key] = value;
  return next;
}
