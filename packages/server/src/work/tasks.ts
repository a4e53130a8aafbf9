import type {
  Design,
  Finding,
  OfficeStandard,
  ProjectSource,
  SheetRecord,
  SheetSwap,
  TextImpact,
  Values,
} from '@mendrel/core';

/** Sheets of a project that are to be drawn and looked at. */
export interface FindingsTask {
  source: ProjectSource;
  sheets: { sheet: SheetRecord; index: number }[];
  /** Sheets that the project has. */
  count: number;
}

/** Sheets, or a design tried on its sizes, whose texts are compared under two standards. */
export interface ImpactTask {
  design: Design;
  before: OfficeStandard;
  after: OfficeStandard;
  /** Size and values of each. */
  sheets: { size: string; values: Values }[];
}

/** Sheets of a project that are drawn from two sources each. */
export interface SwapTask {
  before: ProjectSource;
  after: ProjectSource;
  sheets: { sheet: SheetRecord; index: number }[];
  /** Sheets that the project has. */
  count: number;
}

/** Every kind of heavy work: what it is given and what comes of it. Both travel between threads, so they are plain data. */
export interface Tasks {
  /** What has to be mended on each sheet. */
  findings: { task: FindingsTask; result: Finding[][] };
  impact: { task: ImpactTask; result: TextImpact[] };
  /** What drawing each sheet from the other source would do. */
  swap: { task: SwapTask; result: SheetSwap[] };
}
export type TaskKind = keyof Tasks;

/** Has a task done, wherever that is. */
export type Work = <K extends TaskKind>(kind: K, task: Tasks[K]['task']) => Promise<Tasks[K]['result']>;
