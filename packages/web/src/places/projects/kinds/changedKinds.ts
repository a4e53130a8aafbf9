import type { ProjectKind, ProjectKindChange } from '@mendrel/contract';
import { kindChanges } from '../../../app/kindChanges';

/** The kinds of a project with one of them changed. */
export function withKind(
  kinds: readonly ProjectKind[],
  kind: string,
  change: Omit<Partial<ProjectKindChange>, 'kind'>,
): ProjectKindChange[] {
  const all = kindChanges(kinds);
  const before = all.find((each) => each.kind === kind) ?? { kind, designId: null, size: null, modules: null };
  const { designId, size, modules } = before;
  // Another design begins by its newest revision.
  const base =
    change.designId === undefined || change.designId === designId ? before : { kind, designId, size, modules };
  return [...all.filter((each) => each.kind !== kind), { ...base, ...change }];
}
