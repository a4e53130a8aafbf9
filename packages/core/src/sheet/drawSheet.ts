import type { Finding } from '../check';
import { weighty } from '../check';
import { composeSheet } from '../compose';
import type { Drawing } from '../drawing';
import type { SheetLayout } from '../layout';
import { solveDesign } from '../layout';
import type { Typefaces } from '../lettering';
import type { Values } from '../parameter';
import type { ModuleGrid, PlacedView } from '../placement';
import { moduleGrid, placeViews } from '../placement';
import { unservedFinding, unsolvedFinding } from './sheetFindings';
import type { SheetSource } from './sheetSource';
import { tablesOf, valuesOf } from './sheetSource';

/** A project's sheet, solved, with its views in their modules, and drawn. */
export interface DrawnSheet {
  values: Values;
  layout: SheetLayout;
  grid: ModuleGrid;
  placed: PlacedView[];
  /** Those of the title block and those of the views. */
  findings: Finding[];
  drawing: Drawing;
}

/** A sheet that could not be drawn, and why. */
export interface UndrawnSheet {
  values: Values;
  problem: Finding;
}

export type SheetResult = DrawnSheet | UndrawnSheet;

/**
 * Solves a project's design for one of its sheets, stands the sheet's views into the module grid and draws both. A design that
 * cannot be solved is a problem to show, not one to throw.
 */
export function drawSheet(source: SheetSource, typefaces: Typefaces): SheetResult {
  const { design, standard, sheet } = source;
  const values = valuesOf(source);
  try {
    const layout = solveDesign(design, { size: sheet.size, values, standard, typefaces, tables: tablesOf(source) });
    const grid = moduleGrid(layout.drawingArea, design.modules, layout.claimed);
    const { placed, findings } = placeViews(sheet.views, grid, layout.unit);
    const drawing = composeSheet(design, layout, { standard, typefaces, values, views: placed });
    const unserved = unservedFinding(design, sheet.size);
    const all = [...(unserved ? [unserved] : []), ...layout.findings, ...findings];
    return { values, layout, grid, placed, findings: all, drawing };
  } catch (error) {
    return { values, problem: unsolvedFinding(error) };
  }
}

/** What has to be mended on a sheet before it is handed out, whether it could be drawn or not. */
export const toMend = (result: SheetResult): Finding[] =>
  'problem' in result ? [result.problem] : weighty(result.findings);
