import type { ProjectKind, ProjectKindChange } from '@mendrel/contract';

/** What kinds of a project are, as a change would say it. */
export const kindChanges = (kinds: readonly ProjectKind[]): ProjectKindChange[] =>
  kinds.map(({ kind, designId, designRevision, size, modules }) => ({ kind, designId, designRevision, size, modules }));
