import { useMemo } from 'react';
import type { Office, Project, Sheet } from '@mendrel/contract';
import type { Design, Drawing, Finding, ModuleGrid, PlacedView, SheetLayout, Typefaces, Values } from '@mendrel/core';
import { composeSheet, moduleGrid, placeViews, sheetValues, solveDesign } from '@mendrel/core';

/** A project's sheet, solved and drawn. */
export interface DrawnSheet {
  sheet: Sheet;
  values: Values;
  layout: SheetLayout;
  drawing: Drawing;
  grid: ModuleGrid;
  placed: PlacedView[];
  findings: Finding[];
}

export type SheetResult = DrawnSheet | { sheet: Sheet; values: Values; problem: string };

/** Solves and draws one sheet of a project. */
export function drawSheet(
  design: Design,
  sheet: Sheet,
  values: Values,
  office: Office,
  typefaces: Typefaces,
): SheetResult {
  const { standard } = office;
  try {
    const layout = solveDesign(design, { size: sheet.size, values, standard, typefaces });
    const grid = moduleGrid(layout.drawingArea, design.modules, layout.claimed);
    const { placed, findings } = placeViews(sheet.views, grid);
    const drawing = composeSheet(design, layout, { standard, typefaces, views: placed });
    return { sheet, values, layout, drawing, grid, placed, findings: [...layout.findings, ...findings] };
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
