import type { Conversion, Corrections, Design, IntakeProgress, SheetGroup } from '@mendrel/core';
import { z } from 'zod';
import { idSchema } from './errors';

/** Largest legacy drawing that may be sent, in bytes: 64 MB. */
export const MOST_UPLOAD_BYTES = 64 * 1024 * 1024;

export const legacyDrawingSchema = z.object({
  id: idSchema,
  name: z.string(),
  bytes: z.number().int(),
  /** The design that was kept from it. */
  designId: idSchema.nullable(),
  designName: z.string().nullable(),
  addedAt: z.string(),
});
export type LegacyRecord = z.infer<typeof legacyDrawingSchema>;

/** What intake made of a legacy drawing, with what was set right by hand. */
export interface ConversionRecord extends Conversion {
  /** The name of its file. */
  name: string;
  corrections: Corrections;
}

/** What comes with a drawing that is brought in: the id under which it may be asked how far its reading is. */
export const addLegacySchema = z.strictObject({ reading: idSchema.optional() });

/** How far the reading of a drawing is; null when it has not begun, or has ended. */
export interface ReadingRecord {
  progress: IntakeProgress | null;
}

export const keepSchema = z.strictObject({ document: z.unknown() });
export interface Keep {
  document: Design;
}

/** Most drawings of one set. */
export const MOST_SET_DRAWINGS = 500;

export const setCreateSchema = z.strictObject({ name: z.string().trim().min(1).max(200) });
export type SetCreate = z.infer<typeof setCreateSchema>;

/** A set of legacy drawings that are read together. */
export interface IntakeSet {
  id: string;
  name: string;
  /** Filled by its person; read by the server; all read; given up half way; made a project of. */
  state: 'open' | 'reading' | 'read' | 'stopped' | 'taken';
  drawings: number;
  /** Drawings that were read or refused so far. */
  done: number;
  projectId: string | null;
  addedAt: string;
}

/** What a set of legacy drawings would become. */
export interface IntakeSetRecord extends IntakeSet {
  refused: { name: string; why: string }[];
  /** None while the set is being read. */
  groups: SheetGroup[];
  /** File names by drawing. */
  names: Record<string, string>;
}

/** Which group of a set becomes a project, and what of it. */
export const takeOverSchema = z.strictObject({
  leader: z.string().max(60),
  projectName: z.string().trim().min(1).max(200),
  /** Sheets of the group that are taken over, by their drawings. */
  drawings: z.array(z.string().max(60)).min(1).max(2000),
});
export type TakeOver = z.infer<typeof takeOverSchema>;

/** A drawing of a group of a set, whose corrections are to count for all sheets of the group. */
export const applyCorrectionsSchema = z.strictObject({ drawing: idSchema });

/** A parameter that intake proposed and a person wants. */
export const proposedParameterSchema = z.strictObject({
  caption: z.string().min(1).max(200),
  key: z.string().max(60),
  name: z.string().trim().min(1).max(60),
  value: z.string().max(500),
  /** What it may be, where it is one of few. */
  choices: z.array(z.string().trim().min(1).max(100)).max(100).optional(),
});
export type ProposedParameterChoice = z.infer<typeof proposedParameterSchema>;

/** Something to teach intake, or with no answer to forget. */
export const lessonSchema = z.strictObject({
  kind: z.enum(['captions', 'pens']),
  sign: z.string().min(1).max(200),
  answer: z.string().min(1).max(80).nullable(),
});
export type Lesson = z.infer<typeof lessonSchema>;
