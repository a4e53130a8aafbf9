import type {
  Design,
  Finding,
  MeasuredAreas,
  OfficeStandard,
  ProjectSource,
  SheetRecord,
  SheetSource,
  SheetState,
  TextImpact,
  Values,
} from '@mendrel/core';
import type { AreasTask } from './areas';
import type { Picture, PictureTask } from './picture';

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

/** Sheets that are drawn to be kept as they are. */
export interface FreezeTask {
  source: ProjectSource;
  sheets: { sheet: SheetRecord; index: number; related?: readonly SheetSource[] }[];
  /** Sheets that go out together. */
  count: number;
  /** SHA-256 of the files of typefaces, by their names. */
  typefaces: Readonly<Record<string, string>>;
}

/** A sheet that was drawn to be kept. */
export interface Frozen {
  /** What has to be mended on it. */
  findings: Finding[];
  /** The compressed text of the frozen sheet and the SHA-256 of it; undefined where it could not be drawn. */
  own: { sha256: string; content: Uint8Array } | undefined;
  /** Names of the typefaces that it is lettered in, and SHA-256 of the images that it shows. */
  typefaces: string[];
  images: string[];
}

/** Every kind of heavy work: what it is given and what comes of it. Both travel between threads, so they are plain data. */
export interface Tasks {
  /** What has to be mended on each sheet, drawn or only solved. */
  findings: { task: FindingsTask; result: SheetState[] };
  solve: { task: FindingsTask; result: SheetState[] };
  impact: { task: ImpactTask; result: TextImpact[] };
  freeze: { task: FreezeTask; result: Frozen[] };
  picture: { task: PictureTask; result: Picture };
  areas: { task: AreasTask; result: MeasuredAreas };
}
export type TaskKind = keyof Tasks;

/** Has a task done, wherever that is. */
export type Work = <K extends TaskKind>(kind: K, task: Tasks[K]['task']) => Promise<Tasks[K]['result']>;
