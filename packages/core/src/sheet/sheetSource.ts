import type { Design } from '../design';
import { cellsOf } from '../design';
import type { Values } from '../parameter';
import type { SheetRecord } from '../register';
import { sheetValues } from '../register';
import type { OfficeStandard } from '../standard';
import { parametersOf } from '../standard';
import type { TableRows } from '../table';

/** What all sheets of a project are drawn from. */
export interface ProjectSource {
  design: Design;
  standard: OfficeStandard;
  /** Values entered for the office and for the project. */
  office: Values;
  project: Values;
  /** Rows of the design's tables, as far as people enter them; the sheet index has one for each sheet. */
  tables?: TableRows;
}

/**
 * All that a sheet of a project is drawn from, as plain data. Whoever shows, exports, checks or keeps a sheet draws it from
 * this, so that none of them shows another sheet than the others.
 */
export interface SheetSource extends ProjectSource {
  sheet: SheetRecord;
  /** Its place among the project's sheets, from 0 on, and how many there are. */
  position: { index: number; count: number };
}

const listsSheets = new WeakMap<Design, boolean>();

/** Whether a design has a sheet index, so that each of its sheets is drawn from all of them. */
function hasIndex(design: Design): boolean {
  let has = listsSheets.get(design);
  if (has === undefined) {
    has = [...cellsOf(design)].some(({ cell }) =>
      cell.contents.some((content) => content.kind === 'table' && content.table === 'index'),
    );
    listsSheets.set(design, has);
  }
  return has;
}

/** What the sheets of a project are drawn from, with the rows of a sheet index where the design has one. */
export function withIndex(of: ProjectSource, sheets: readonly SheetRecord[]): ProjectSource {
  if (!hasIndex(of.design)) return of;
  const index = sheets.map((sheet, i) => valuesOf({ ...of, sheet, position: { index: i, count: sheets.length } }));
  return { ...of, tables: { ...of.tables, index } };
}

/** The sources of all sheets of a project, in the order of the register. */
export function sheetSources(of: ProjectSource, sheets: readonly SheetRecord[]): SheetSource[] {
  const source = withIndex(of, sheets);
  return sheets.map((sheet, index) => ({ ...source, sheet, position: { index, count: sheets.length } }));
}

/** The values of all parameters of a sheet. */
export const valuesOf = ({ office, project, sheet, position, standard }: SheetSource): Values =>
  sheetValues({ office, project }, sheet, position, standard.wording, parametersOf(standard));

/** Whether two sources are made of the same parts, so that what was drawn from one need not be drawn again from the other. */
export const sameSource = (a: SheetSource, b: SheetSource): boolean =>
  a.sheet === b.sheet &&
  a.design === b.design &&
  a.standard === b.standard &&
  a.office === b.office &&
  a.project === b.project &&
  a.tables === b.tables &&
  a.position.index === b.position.index &&
  a.position.count === b.position.count;
