import type {
  Design,
  OfficeStandard,
  SheetLayout,
  SheetSource,
  SheetState,
  TextImpact,
  Typefaces,
  Values,
} from '@mendrel/core';
import {
  drawSheet,
  LayoutError,
  solveDesign,
  solveSheet,
  stateOfSheet,
  textImpact,
  UnknownLetteringError,
  UnknownSizeError,
} from '@mendrel/core';
import { areasOf } from './areas';
import { freeze } from './freeze';
import { picture } from './picture';
import type { FindingsTask, ImpactTask, TaskKind, Tasks } from './tasks';

const sourcesOf = ({ source, sheets, count }: FindingsTask): SheetSource[] =>
  sheets.map(({ sheet, index }) => ({ ...source, sheet, position: { index, count } }));

const findings = (task: FindingsTask, typefaces: Typefaces): SheetState[] =>
  sourcesOf(task).map((source) => stateOfSheet(drawSheet(source, typefaces)));

const solve = (task: FindingsTask, typefaces: Typefaces): SheetState[] =>
  sourcesOf(task).map((source) => stateOfSheet(solveSheet(source, typefaces)));

/** Whether a role looks different though its texts keep their places. */
function restyledRoles(before: OfficeStandard, after: OfficeStandard): (role: string) => boolean {
  const look = (standard: OfficeStandard, id: string): string => {
    const role = standard.roles.find((each) => each.id === id);
    const pen = standard.pens.find((each) => each.id === role?.pen);
    return JSON.stringify([role?.typeface, role?.capitals, pen?.colour]);
  };
  const changed = new Set(after.roles.filter(({ id }) => look(before, id) !== look(after, id)).map(({ id }) => id));
  return (role) => changed.has(role);
}

/** A solution, or nothing where a standard leaves none: such a sheet has no texts to compare. */
function solved(
  design: Design,
  size: string,
  values: Values,
  standard: OfficeStandard,
  typefaces: Typefaces,
): SheetLayout | undefined {
  try {
    return solveDesign(design, { size, values, standard, typefaces });
  } catch (error) {
    if (error instanceof LayoutError || error instanceof UnknownSizeError || error instanceof UnknownLetteringError)
      return undefined;
    throw error;
  }
}

const NOTHING: TextImpact = { texts: 0, changed: 0, spills: 0, mended: 0 };

function impact({ design, before, after, sheets }: ImpactTask, typefaces: Typefaces): TextImpact[] {
  const restyled = restyledRoles(before, after);
  return sheets.map(({ size, values }) => {
    const was = solved(design, size, values, before, typefaces);
    const is = solved(design, size, values, after, typefaces);
    return was && is ? textImpact(was, is, restyled) : NOTHING;
  });
}

/** How each kind of work is done. */
const WORKS: { [K in TaskKind]: (task: Tasks[K]['task'], typefaces: Typefaces) => Tasks[K]['result'] } = {
  findings,
  impact,
  solve,
  freeze,
  picture,
  areas: areasOf,
};

/** Does a task in the thread that calls it. */
export const perform = <K extends TaskKind>(
  kind: K,
  task: Tasks[K]['task'],
  typefaces: Typefaces,
): Tasks[K]['result'] => WORKS[kind](task, typefaces);
