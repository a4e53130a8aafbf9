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

const GRID = /^(\d{1,2})\s*[x×*by]+\s*(\d{1,2})$/i;
/** Modules that a drawing area is divided into at most, each way. */
const MOST_MODULES = 40;

/** Columns and rows as they are typed, such as 6 × 4; undefined for anything else. */
export function readGrid(text: string): NonNullable<ProjectKind['modules']> | undefined {
  const match = GRID.exec(text.trim());
  const [columns, rows] = [Number(match?.[1]), Number(match?.[2])];
  const fits = (count: number): boolean => count >= 1 && count <= MOST_MODULES;
  return fits(columns) && fits(rows) ? { columns, rows } : undefined;
}

export const gridWords = ({ columns, rows }: NonNullable<ProjectKind['modules']>): string => `${columns} × ${rows}`;
