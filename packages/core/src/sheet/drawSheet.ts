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
import { withPartMarks } from './partMarks';
import { leftBlank, onDeviceFindings } from './onDevice';
import { requiredFindings } from './requiredValues';
import { unservedFinding, unsolvedFinding } from './sheetFindings';
import { viewTitleOf, viewTitleRoom } from '../standard';
import type { SheetSource } from './sheetSource';
import { tablesOf, valuesOf } from './sheetSource';
import { viewNotes } from './viewNotes';

/** A project's sheet, solved, with its views in their modules. */
export interface SolvedSheet {
  values: Values;
  layout: SheetLayout;
  grid: ModuleGrid;
  placed: PlacedView[];
  /** Those of the title block and those of the views. */
  findings: Finding[];
}

/** A solved sheet, drawn. */
export interface DrawnSheet extends SolvedSheet {
  drawing: Drawing;
}

/** A sheet that could not be drawn, and why. */
export interface UndrawnSheet {
  values: Values;
  problem: Finding;
}

export type SheetResult = DrawnSheet | UndrawnSheet;

/** Where what a sheet has to have is entered; what belongs to a set is looked for when that goes out. */
const SHEET_SCOPES = ['office', 'project', 'sheet'] as const;

function solved(source: SheetSource, values: Values, typefaces: Typefaces): SolvedSheet {
  const { design, standard, sheet } = source;
  const layout = solveDesign(design, { size: sheet.size, values, standard, typefaces, tables: tablesOf(source) });
  const claimed = [...layout.claimed, ...leftBlank(source.device, layout, standard)];
  const grid: ModuleGrid = {
    ...moduleGrid(layout.drawingArea, design.modules, claimed, sheet.size),
    titleRoom: viewTitleRoom(standard, layout.unit),
  };
  const { placed, findings } = placeViews(sheet.views, grid, layout.unit, viewTitleOf(standard).numbers);
  const unserved = unservedFinding(design, sheet.size);
  const notes = viewNotes(sheet.views, placed, standard, sheet.size, layout.unit, source.newer);
  const first = unserved ? [unserved] : [];
  const onDevice = source.device === undefined ? [] : onDeviceFindings(source.device, layout, standard);
  const required = requiredFindings(standard, values, SHEET_SCOPES, layout.findings);
  const all = [...first, ...layout.findings, ...required, ...findings, ...onDevice, ...notes];
  return { values, layout, grid, placed, findings: all };
}

/**
 * Solves a project's design for one of its sheets and stands the sheet's views into the module grid. A design that cannot be solved
 * is a problem to show, not one to throw.
 */
export function solveSheet(source: SheetSource, typefaces: Typefaces): SolvedSheet | UndrawnSheet {
  const values = valuesOf(source);
  try {
    return solved(source, values, typefaces);
  } catch (error) {
    return { values, problem: unsolvedFinding(error) };
  }
}

/** Where views stand on sheets that others refer to: several sheets refer to the same one. */
const known = new WeakMap<SheetSource, { typefaces: Typefaces; placed: readonly PlacedView[] }>();

/** Where the views of a sheet stand; nowhere if it cannot be solved. */
function placedOn(source: SheetSource, typefaces: Typefaces): readonly PlacedView[] {
  const before = known.get(source);
  if (before?.typefaces === typefaces) return before.placed;
  const result = solveSheet(source, typefaces);
  const placed = 'problem' in result ? [] : result.placed;
  known.set(source, { typefaces, placed });
  return placed;
}

/** Solves one of a project's sheets with its views, and draws both. What cannot be drawn is a problem to show. */
export function drawSheet(source: SheetSource, typefaces: Typefaces): SheetResult {
  const { design, standard } = source;
  const values = valuesOf(source);
  try {
    const sheet = solved(source, values, typefaces);
    const others = (source.related ?? []).map((of) => ({ number: of.sheet.number, placed: placedOn(of, typefaces) }));
    const views = withPartMarks(sheet.placed, others);
    const drawing = composeSheet(design, sheet.layout, { standard, typefaces, values, views });
    return { ...sheet, drawing };
  } catch (error) {
    return { values, problem: unsolvedFinding(error) };
  }
}

/** What has to be mended on a sheet before it is handed out, whether it could be solved or not. */
export const toMend = (result: SolvedSheet | UndrawnSheet): Finding[] =>
  'problem' in result ? [result.problem] : weighty(result.findings);
