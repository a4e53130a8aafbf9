import type { Finding } from '@mendrel/core';
import type { Sheet } from './sheets';

/** Projects that a group of the Desk names at first, and sheets that it names of each. */
export const NAMED_PROJECTS = 3;
export const NAMED_SHEETS = 5;

/** Sheets of one project that one act mends. */
export interface DeskProject {
  id: string;
  name: string;
  sheets: number;
  /** The first of them. */
  named: Pick<Sheet, 'id' | 'number'>[];
}

/** What one act mends, wherever it stands: one place of a design, sizes a design is not made for, projects without a design. */
export interface DeskGroup {
  /** The same as long as the group is there. */
  key: string;
  finding: Pick<Finding, 'weight' | 'kind' | 'message' | 'mend'>;
  /** Whether it says something else on other sheets: then the finding is the worst of them. */
  varied: boolean;
  /** The design in which it stands, where it stands in one. */
  design: { id: string; name: string; revision: number | null } | null;
  /** The part of a project in which it is seen or mended. */
  place: 'register' | 'data';
  sheets: number;
  /** All its projects, of which only the first are named until the group is asked for. */
  projects: number;
  named: DeskProject[];
}

/** A set that is to go out. */
export interface DueSet {
  project: Pick<DeskProject, 'id' | 'name'>;
  set: { id: string; name: string };
  /** A day such as 2031-04-02. */
  due: string;
  /** Whether that day is over. */
  overdue: boolean;
  sheets: number;
  /** Those of them that were looked at, and those that something is to be mended on. */
  looked: number;
  unfit: number;
}

/** A design of which projects use an older revision than the newest. */
export interface LateDesign {
  id: string;
  name: string;
  newest: number;
  /** Projects that are behind, and all that use it. */
  behind: number;
  projects: number;
}

/** Sets and designs that the Desk tells at most. */
export const MOST_ON_DESK = 8;

/** What needs doing in the whole office, worst first. */
export interface DeskRecord {
  projects: number;
  sheets: number;
  /** Sheets on which nothing is left to mend. */
  fitting: number;
  /** Projects whose sheets are still being looked at, since something of them changed. */
  waiting: number;
  groups: DeskGroup[];
  /** All groups; a page holds some of them. */
  count: number;
  /** Sets that go out next, the earliest first. */
  due: DueSet[];
  /** Designs with the most projects behind first. */
  late: LateDesign[];
}

/** Groups on one page of the Desk. */
export const DESK_PAGE = 20;

/** What has to be mended on a sheet. */
export interface SheetFindings {
  sheet: string;
  findings: Finding[];
}
