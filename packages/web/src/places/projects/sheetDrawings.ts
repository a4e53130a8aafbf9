import { useMemo } from 'react';
import type { ProjectDesignsRecord, Sheet } from '@mendrel/contract';
import type {
  Design,
  DrawnSheet as Drawn,
  ProjectSource,
  SheetResult as Result,
  SheetSource,
  Typefaces,
} from '@mendrel/core';
import { drawSheet, sameSource, sheetSources } from '@mendrel/core';
import { useTypefaces } from '../../app/typefaces';

/** A project's sheet with what came of drawing it. */
export type SheetResult = Result & { sheet: Sheet };
export type DrawnSheet = Drawn & { sheet: Sheet };

/** The designs of a project's sheets by kind. */
export interface KindDesigns {
  /** That of kinds which have none of their own. */
  usual: Design;
  of: (kind: Sheet['kind']) => Design;
  all: readonly Design[];
}

/** The designs of a project as they were told; undefined while it has none. */
export function kindDesigns({ designs, kinds }: ProjectDesignsRecord): KindDesigns | undefined {
  const [usual] = designs;
  return usual && { usual, of: (kind) => designs[kinds[kind] ?? 0] ?? usual, all: designs };
}

/** A project's sheet with all that it is drawn from. */
export interface ProjectSheet {
  sheet: Sheet;
  source: SheetSource;
}

interface Kept {
  source: SheetSource;
  typefaces: Typefaces;
  result: SheetResult;
}

/** What was drawn of each sheet last, as long as the sheet is held: one edit draws one sheet, not the whole register. */
const kept = new WeakMap<Sheet, Kept>();

/** A sheet drawn from its source, or as it was drawn before where nothing of it changed. */
export function drawnFrom({ source, sheet }: ProjectSheet, typefaces: Typefaces): SheetResult {
  const before = kept.get(sheet);
  if (before && before.typefaces === typefaces && sameSource(before.source, source)) return before.result;
  const result: SheetResult = { ...drawSheet(source, typefaces), sheet };
  kept.set(sheet, { source, typefaces, result });
  return result;
}

/** Whether a sheet was drawn as it is, so that showing it takes no time. */
export const isDrawn = ({ sheet, source }: ProjectSheet): boolean => {
  const before = kept.get(sheet);
  return before !== undefined && sameSource(before.source, source);
};

/** Each sheet with its source, as long as the sheet is held: what is made of it stays what it is where nothing of it changed. */
const sourced = new WeakMap<Sheet, ProjectSheet>();

function held(sheet: Sheet, source: SheetSource): ProjectSheet {
  const before = sourced.get(sheet);
  if (before && sameSource(before.source, source)) return before;
  const now = { sheet, source };
  sourced.set(sheet, now);
  return now;
}

/** All sheets of a project with their sources; none before everything that they are drawn from is there. */
export function useSheetSources(
  of: Partial<Omit<ProjectSource, 'design'>> & { designs?: KindDesigns | undefined },
  sheets: readonly Sheet[] | undefined,
): ProjectSheet[] {
  const { designs, standard, office, project, tables } = of;
  return useMemo(() => {
    if (!sheets || !designs || !standard || !office || !project || !tables) return [];
    const from = { design: designs.usual, standard, office, project, tables };
    return sheetSources(from, sheets, ({ kind }) => designs.of(kind)).map((source, i) => held(sheets[i]!, source));
  }, [sheets, designs, standard, office, project, tables]);
}

/** A sheet, drawn when it is shown. */
export function useDrawn(sheet: ProjectSheet): SheetResult {
  const typefaces = useTypefaces();
  return useMemo(() => drawnFrom(sheet, typefaces), [sheet, typefaces]);
}
