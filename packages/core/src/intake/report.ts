import type { Deviation } from '../drawing';
import type { Rect } from '../geometry';
import type { Dropped } from './legacyDrawing';

/** What intake found in a legacy drawing. All lengths in mm on paper, origin at the sheet's lower-left corner, y up. */
export interface IntakeReport {
  source: { format: string; version: string; unitsPerPaperMm: number; rotation: number; entities: number };
  sheet: { name: string; width: number; height: number };
  frame: Rect;
  cells: ({ id: string } & Rect)[];
  texts: ReportText[];
  tables: ({ kind: string; columns: string[] } & Rect)[];
  dropped: Dropped[];
  deviation: Deviation;
  unresolved: string[];
  decisions: Decision[];
}

export interface ReportText {
  text: string;
  kind: 'caption' | 'field' | 'note' | 'zone';
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
