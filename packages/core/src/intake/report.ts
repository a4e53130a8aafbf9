import type { Deviation } from '../drawing';
import type { Point, Rect } from '../geometry';
import type { CleaningStep } from './cleaning';
import type { Difference } from './comparison';
import type { Dropped } from './legacyDrawing';
import type { ReportMark } from './marks';
import type { ReportPen } from './oldPens';
import type { ReportPicture } from './oldPictures';
import type { RoundedLength } from './rounding';

/** A parameter that the office may want: a caption of the old block that nobody knows, with what stood under it. */
export interface ProposedParameter {
  caption: string;
  key: string;
  name: string;
  value: string;
  /** What it may be, where words stood beside boxes. */
  choices?: string[];
  /** The texts that would become its fields, by their numbers. */
  texts: number[];
}

/** What intake found in a legacy drawing. All lengths in mm on paper, origin at the sheet's lower-left corner, y up. */
export interface IntakeReport {
  source: {
    format: string;
    version: string;
    unitsPerPaperMm: number;
    rotation: number;
    /** Where the sheet's lower-left corner lies in the drawing, turned upright, in its own units. */
    origin: Point;
    entities: number;
  };
  sheet: { name: string; width: number; height: number };
  /** What else the sheet may be, the likeliest first; the one that was taken is among them. */
  candidates: SheetCandidate[];
  /** The space of the file that holds the sheet, and those that it might have been. */
  space: string;
  spaces: string[];
  frame: Rect;
  cells: ({ id: string } & Rect)[];
  texts: ReportText[];
  tables: ({ kind: string; columns: string[] } & Rect)[];
  /** What stood in the filled rows of tables, from the headings on: one text a column of the table with that index. */
  filledRows: { table: number; texts: string[] }[];
  /** Pictures that stand in cells of the block. */
  pictures: ReportPicture[];
  /** Marks that are known symbols. */
  marks: ReportMark[];
  dropped: Dropped[];
  /** The old drawing's layers by name. */
  layers: ReportLayer[];
  /** The size on which the design was solved, its own, and how many of its texts spill there. */
  solved: { size: string; spills: number };
  deviation: Deviation;
  /** How far texts that stand in both start from each other. */
  textDeviation: Deviation;
  /** What stands otherwise in the design than in the old drawing. */
  differences: Difference[];
  /** How many more there are than are listed. */
  moreDifferences: number;
  cleaning: CleaningStep[];
  /** How far ends of lines were drawn to lines across that they missed, in mm on paper. */
  reach: number;
  /** Lengths of cells that were taken for round ones. */
  rounded: RoundedLength[];
  lettering: ReportLettering[];
  pens: ReportPen[];
  proposals: ProposedParameter[];
  unresolved: string[];
  decisions: Decision[];
}

/** A layer of the old drawing: how much there is on it that is shown, and how much of that belongs to the title block. */
export interface ReportLayer {
  name: string;
  entities: number;
  block: number;
}

/** A height of old lettering, and the role that its texts were given. */
export interface ReportLettering {
  /** Measured, in mm on paper. */
  height: number;
  texts: number;
  role: string | null;
  /** The role that they would have without corrections. */
  found: string | null;
  roleHeight: number;
}

/** A sheet that a drawing may have been made for. */
export interface SheetCandidate {
  name: string;
  unitsPerPaperMm: number;
  /** Degrees counter-clockwise. */
  rotation: number;
  /** 0 to 1; all candidates together come to 1. */
  likelihood: number;
  why: string;
}

export interface ReportText {
  /** Which text of the drawing it is, by which it can be corrected. */
  id: number;
  text: string;
  /** An option stands beside a box; its parameter is what all of the boxes choose. */
  kind: 'caption' | 'field' | 'note' | 'option' | 'zone';
  parameter: string | null;
  role: string | null;
  x: number;
  y: number;
  /** The standard height that the text was given, in mm on paper. */
  height: number;
  cell: string | null;
}

/** Something intake decided by itself. */
export interface Decision {
  what: string;
  why: string;
  /** 0 to 1. */
  confidence: number;
  /** The content of the design that depends on it. */
  content?: string;
}
