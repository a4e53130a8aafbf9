import { useMemo } from 'react';
import type { ProjectDesignsRecord, Sheet } from '@mendrel/contract';
import type {
  Design,
  DrawnSheet as Drawn,
  ProjectSource,
  SheetResult as Result,
  SheetSource,
  SolvedSheet,
  Typefaces,
  UndrawnSheet,
} from '@mendrel/core';
import { drawSheet, sameSource, sheetSources, solveSheet } from '@mendrel/core';
import { useTypefaces } from '../../app/typefaces';

/** A project's sheet with what came of drawing it. */
export type SheetResult = Result & { sheet: Sheet };
export type DrawnSheet = Drawn & { sheet: Sheet };

/** What says with which design a sheet is drawn. */
export type SheetLook = Pick<Sheet, 'kind'> & Partial<Pick<Sheet, 'design'>>;

/** The designs of a project's sheets. */
export interface SheetDesigns {
  /** That of kinds which have none of their own. */
  usual: Design;
  of: (sheet: SheetLook) => Design;
  all: readonly Design[];
}

/** The designs of a project as they were told; undefined while it has none. */
export function sheetDesigns({ designs, kinds, own }: ProjectDesignsRecord): SheetDesigns | undefined {
  const [usual] = designs;
  if (!usual) return undefined;
  const placeOf = ({ kind, design }: SheetLook): number => {
    if (!design) return kinds[kind] ?? 0;
    const same = own.filter((each) => each.id === design.id && each.revision === design.revision);
    // A sheet that has just become of another kind has the design already.
    return (same.find((each) => each.kind === kind) ?? same[0])?.place ?? kinds[kind] ?? 0;
  };
  return { usual, of: (sheet) => designs[placeOf(sheet)] ?? usual, all: designs };
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

type Solved = SolvedSheet | UndrawnSheet;

/** What was solved of each sheet last, without being drawn. */
const solvedBefore = new WeakMap<Sheet, { source: SheetSource; typefaces: Typefaces; result: Solved }>();

/** A sheet solved from its source, or as it was solved before: where its views stand, without what they show. */
export function solvedFrom({ source, sheet }: ProjectSheet, typefaces: Typefaces): Solved {
  const before = solvedBefore.get(sheet);
  if (before && before.typefaces === typefaces && sameSource(before.source, source)) return before.result;
  const result = solveSheet(source, typefaces);
  solvedBefore.set(sheet, { source, typefaces, result });
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
  of: Partial<Omit<ProjectSource, 'design'>> & { designs?: SheetDesigns | undefined },
  sheets: readonly Sheet[] | undefined,
): ProjectSheet[] {
  const { designs, standard, office, project, tables, fileNames, device } = of;
  return useMemo(() => {
    if (!sheets || !designs || !standard || !office || !project || !tables) return [];
    const from = {
      design: designs.usual,
      standard,
      office,
      project,
      tables,
      ...(fileNames === undefined ? {} : { fileNames }),
      ...(device === undefined ? {} : { device }),
    };
    return sheetSources(from, sheets, (index) => designs.of(sheets[index]!)).map((source, i) =>
      held(sheets[i]!, source),
    );
  }, [sheets, designs, standard, office, project, tables, fileNames, device]);
}

/** A sheet, drawn when it is shown. */
export function useDrawn(sheet: ProjectSheet): SheetResult {
  // What was drawn is kept already; another hook after one that waits can be called as if it were there before.
  return drawnFrom(sheet, useTypefaces());
}
