import { useMemo } from 'react';
import type { ProjectDesignsRecord, Sheet } from '@mendrel/contract';
import type { Design, DrawnSheet as Drawn, ProjectSource, SheetResult as Result, SheetSource } from '@mendrel/core';
import { sameSource, sheetSources } from '@mendrel/core';

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
