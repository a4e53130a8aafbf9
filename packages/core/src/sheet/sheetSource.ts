import type { TableRows } from '../compose';
import type { Design } from '../design';
import type { Values } from '../parameter';
import type { SheetRecord } from '../register';
import { sheetValues } from '../register';
import type { OfficeStandard } from '../standard';
import { parametersOf } from '../standard';

/** What all sheets of a project are drawn from. */
export interface ProjectSource {
  design: Design;
  standard: OfficeStandard;
  /** Values entered for the office and for the project. */
  office: Values;
  project: Values;
  /** Rows of the design's tables. */
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

/** The sources of all sheets of a project, in the order of the register. */
export const sheetSources = (of: ProjectSource, sheets: readonly SheetRecord[]): SheetSource[] =>
  sheets.map((sheet, index) => ({ ...of, sheet, position: { index, count: sheets.length } }));

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
