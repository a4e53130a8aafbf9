import { kindChanges } from '../../../app/kindChanges';
import type { DesignSummary, DesignSwap, Project } from '@mendrel/contract';

/** Projects that draw sheets with one revision of a design, or with its draft. */
export interface RevisionUse {
  /** Null for the draft. */
  revision: number | null;
  projects: Project[];
}

/** Who draws with which revision of a design. */
export interface DesignAdoption {
  design: DesignSummary;
  /** The newest revision first, the draft before it. */
  uses: RevisionUse[];
}

/** What a project says of a design: for all its sheets, and for kinds of them. */
const revisionsIn = ({ designId, designRevision, kinds }: Project, design: string): (number | null)[] => [
  ...(designId === design ? [designRevision] : []),
  ...kinds.flatMap((kind) => (kind.designId === design ? [kind.designRevision] : [])),
];

/** How far projects have come with the designs of the office; designs that nobody uses are left out. */
export const adoptionOf = (designs: readonly DesignSummary[], projects: readonly Project[]): DesignAdoption[] =>
  designs.flatMap((design): DesignAdoption[] => {
    const uses = new Map<number | null, Project[]>();
    for (const project of projects) {
      if (project.archived) continue;
      for (const revision of new Set(revisionsIn(project, design.id)))
        uses.set(revision, [...(uses.get(revision) ?? []), project]);
    }
    if (uses.size === 0) return [];
    const order = (revision: number | null): number => revision ?? Number.POSITIVE_INFINITY;
    return [
      {
        design,
        uses: [...uses]
          .map(([revision, users]) => ({ revision, projects: users }))
          .sort((a, b) => order(b.revision) - order(a.revision)),
      },
    ];
  });

/** Projects that draw with an older revision than the newest; those that follow the draft have it already. */
export const behind = ({ design, uses }: DesignAdoption): Project[] => [
  ...new Set(
    uses.filter(({ revision }) => revision !== null && revision !== design.revision).flatMap((use) => use.projects),
  ),
];

/** The change that moves a project from older revisions of a design to another one. */
export function moveTo({ designId, designRevision, kinds }: Project, design: string, revision: number): DesignSwap {
  const moves = (id: string | null, from: number | null): boolean => id === design && from !== null;
  return {
    ...(moves(designId, designRevision) ? { designRevision: revision } : {}),
    ...(kinds.some((kind) => moves(kind.designId, kind.designRevision))
      ? {
          kinds: kindChanges(kinds).map((kind) => ({
            ...kind,
            designRevision: moves(kind.designId, kind.designRevision ?? null) ? revision : kind.designRevision,
          })),
        }
      : {}),
  };
}

/** The change that takes a project back to what it was. */
export const moveBack = ({ designId, designRevision, kinds }: Project): DesignSwap => ({
  ...(designId === null ? {} : { designRevision }),
  kinds: kindChanges(kinds),
});
