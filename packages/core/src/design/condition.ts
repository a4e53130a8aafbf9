/** Sets when something is shown; an empty text takes the condition away. */
export function withCondition<T extends { when?: string | undefined }>(of: T, when: string): T {
  const next: T & { when?: string | undefined } = { ...of };
  if (when === '') delete next.when;
  else next.when = when;
  return next;
}
