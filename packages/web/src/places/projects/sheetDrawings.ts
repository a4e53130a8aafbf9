import { useMemo } from 'react';
import type { Office, Project, Sheet } from '@mendrel/contract';
import type { Design, Finding, OfficeStandard, ProjectSheet, Typefaces, Values } from '@mendrel/core';
import { drawProjectSheet, parametersOf, sheetValues, unsolvedFinding, weighty } from '@mendrel/core';

/** A project's sheet, solved and drawn. */
export interface DrawnSheet extends ProjectSheet {
  sheet: Sheet;
  values: Values;
}

/** A sheet that could not be drawn, and why. */
export interface UndrawnSheet {
  sheet: Sheet;
  values: Values;
  problem: Finding;
}

export type SheetResult = DrawnSheet | UndrawnSheet;

/** What has to be mended on a sheet before it is handed out, whether it could be drawn or not. */
export function toMend(result: SheetResult): Finding[] {
  return 'problem' in result ? [result.problem] : weighty(result.findings);
}

/** Solves and draws one sheet of a project; an error in its design is a problem to show, not one to throw. */
export function drawSheet(
  design: Design,
  sheet: Sheet,
  values: Values,
  standard: OfficeStandard,
  typefaces: Typefaces,
): SheetResult {
  try {
    return { sheet, values, ...drawProjectSheet(design, sheet, values, { standard, typefaces }) };
  } catch (error) {
    return { sheet, values, problem: unsolvedFinding(error) };
  }
}

/** All sheets of a project, drawn; computed again only where something they are made from changed. */
export function useDrawnSheets(
  project: Project | undefined,
  sheets: readonly Sheet[] | undefined,
  design: Design | undefined,
  office: Office | undefined,
  standard: OfficeStandard | undefined,
  typefaces: Typefaces,
): SheetResult[] {
  return useMemo(() => {
    if (!project || !sheets || !design || !office || !standard) return [];
    return sheets.map((sheet, index) => {
      const entered = { office: office.values, project: project.values };
      const position = { index, count: sheets.length };
      const values = sheetValues(entered, sheet, position, standard.wording, parametersOf(standard));
      return drawSheet(design, sheet, values, standard, typefaces);
    });
  }, [project, sheets, design, office, standard, typefaces]);
}
