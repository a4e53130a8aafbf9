import type { Finding } from '../check';
import type { Design } from '../design';
import type { Drawing } from '../drawing';
import type { SheetLayout } from '../layout';
import { solveDesign } from '../layout';
import type { Typefaces } from '../lettering';
import type { Values } from '../parameter';
import type { ModuleGrid, PlacedView, View } from '../placement';
import { moduleGrid, placeViews } from '../placement';
import type { OfficeStandard } from '../standard';
import { composeSheet } from './compose';
import { unservedFinding } from './projectSheetFindings';

/** A project's sheet, solved, with its views in their modules, and drawn. */
export interface ProjectSheet {
  layout: SheetLayout;
  grid: ModuleGrid;
  placed: PlacedView[];
  /** Those of the title block and those of the views. */
  findings: Finding[];
  drawing: Drawing;
}

/**
 * Solves a design for one sheet of a project, stands the sheet's views into the module grid and draws both.
 * @throws LayoutError, UnknownSizeError or UnknownLetteringError naming the place in the design
 */
export function drawProjectSheet(
  design: Design,
  sheet: { size: string; views: readonly View[] },
  values: Values,
  on: { standard: OfficeStandard; typefaces: Typefaces },
): ProjectSheet {
  const layout = solveDesign(design, { size: sheet.size, values, ...on });
  const grid = moduleGrid(layout.drawingArea, design.modules, layout.claimed);
  const { placed, findings } = placeViews(sheet.views, grid, layout.unit);
  const drawing = composeSheet(design, layout, { ...on, values, views: placed });
  const unserved = unservedFinding(design, sheet.size);
  return {
    layout,
    grid,
    placed,
    findings: [...(unserved ? [unserved] : []), ...layout.findings, ...findings],
    drawing,
  };
}
