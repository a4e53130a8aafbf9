import { useMemo } from 'react';
import type { Office, Project, Sheet } from '@mendrel/contract';
import type { Design, ProjectSheet, Typefaces, Values } from '@mendrel/core';
import { drawProjectSheet, sheetValues } from '@mendrel/core';

/** A project's sheet, solved and drawn. */
export interface DrawnSheet extends ProjectSheet {
  sheet: Sheet;
  values: Values;
}

export type SheetResult = DrawnSheet | { sheet: Sheet; values: Values; problem: string };

/** Solves and draws one sheet of a project; an error in its design is a problem to show, not one to throw. */
export function drawSheet(
  design: Design,
  sheet: Sheet,
  values: Values,
  office: Office,
  typefaces: Typefaces,
): SheetResult {
  try {
    return { sheet, values, ...drawProjectSheet(design, sheet, values, { standard: office.standard, typefaces }) };
  } catch (error) {
    return { sheet, values, problem: error instanceof Error ? error.message : String(error) };
  }
}

/** All sheets of a project, drawn; computed again only where something they are made from changed. */
export function useDrawnSheets(
  project: Project | undefined,
  sheets: readonly Sheet[] | undefined,
  design: Design | undefined,
  office: Office | undefined,
  typefaces: Typefaces,
): SheetResult[] {
  return useMemo(() => {
    if (!project || !sheets || !design || !office) return [];
    return sheets.map((sheet, index) => {
      const entered = { office: office.values, project: project.values, set: {} };
      const values = sheetValues(entered, sheet, { index, count: sheets.length }, office.standard.wording);
      return drawSheet(design, sheet, values, office, typefaces);
    });
  }, [project, sheets, design, office, typefaces]);
}
