import type { Design, SheetSwap } from '@mendrel/core';
import { modulesSchema, numberingSchema } from '@mendrel/core';
import { z } from 'zod';
import { idSchema, MOST_COUNT, versionSchema } from './errors';
import { valuesSchema } from './office';
import { revisionCodeSchema } from './revisions';
import type { Sheet } from './sheets';
import { MOST_SHEETS, ownDesignChangeSchema, sheetKindSchema } from './sheets';
import { standardNumberSchema } from './standard';

/** What sheets of a kind are drawn with, where it is not what all others are drawn with. */
const projectKindSchema = z.object({
  kind: sheetKindSchema,
  /** Null for the design of the project. */
  designId: idSchema.nullable(),
  designName: z.string().nullable(),
  /** Null while the draft of its own design is followed. */
  designRevision: z.number().int().nullable(),
  /** The size that new sheets of the kind have; null for the usual one. */
  size: z.string().nullable(),
  /** Its module grid; null for that of the design. */
  modules: modulesSchema.nullable(),
});
export type ProjectKind = z.infer<typeof projectKindSchema>;

export const projectSchema = z.object({
  id: idSchema,
  name: z.string(),
  designId: idSchema.nullable(),
  designName: z.string().nullable(),
  /** The published revision of the design its sheets are drawn with; null while they follow the draft. */
  designRevision: z.number().int().nullable(),
  /** The published standard its sheets are drawn with; null while they follow the draft. */
  standard: standardNumberSchema.nullable(),
  /** Kinds of sheet that differ from the others. */
  kinds: z.array(projectKindSchema),
  values: valuesSchema,
  /** The code of the first revision of a sheet; the others are counted on from it. */
  firstRevision: z.string(),
  /** How its sheets are numbered; null for what the numbers there are show. */
  numbering: numberingSchema.nullable(),
  /** The pattern of its files' names; null for the usual one. */
  fileNames: z.string().nullable(),
  /** The id in the standard of the device that its sheets are printed on; null while none is named. */
  device: z.string().nullable(),
  sheets: z.number().int(),
  /** Whether its sheets stand in an order by hand rather than in that of their numbers. */
  byHand: z.boolean(),
  /** Put away: it is neither listed nor looked at until it is taken out again. */
  archived: z.boolean(),
  version: versionSchema,
});
export type Project = z.infer<typeof projectSchema>;

/** Projects on a page of their list. */
export const PROJECTS_ON_A_PAGE = 50;
/** What somebody can be looking for in it, in characters. */
export const LONGEST_FIND = 200;

/** A page of the projects of an office. */
export interface ProjectPage {
  projects: Project[];
  /** How many are meant, on all pages. */
  count: number;
  /** How many there are at all, and how many of them are put away. */
  all: number;
  archived: number;
}

/** The designs that a project's sheets are drawn with, each once. */
export interface ProjectDesignsRecord {
  /** The first is that of all kinds which have none of their own; none while the project has no design. */
  designs: Design[];
  /** Which of them a kind of sheet has, where it is not the first. */
  kinds: Partial<Record<string, number>>;
  /** Which of them are those that sheets have of their own. */
  own: (NonNullable<Sheet['design']> & Pick<Sheet, 'kind'> & { place: number })[];
}

const projectKindChangeSchema = z.strictObject({
  kind: sheetKindSchema,
  designId: idSchema.nullable(),
  /** The newest when it is left out. */
  designRevision: z.number().int().min(1).max(MOST_COUNT).nullable().optional(),
  size: z.string().min(1).max(40).nullable(),
  /** That of the design when it is left out. */
  modules: modulesSchema.nullable().optional(),
});
export type ProjectKindChange = z.infer<typeof projectKindChangeSchema>;

/** Other designs for a project's sheets, as its change would name them. */
export const designSwapSchema = z.strictObject({
  designId: idSchema.optional(),
  designRevision: z.number().int().min(1).max(MOST_COUNT).nullable().optional(),
  kinds: z.array(projectKindChangeSchema).max(40).optional(),
  /** A design for some sheets alone; null draws them like all of their kind. */
  sheets: z
    .strictObject({ ids: z.array(idSchema).min(1).max(MOST_SHEETS), design: ownDesignChangeSchema.nullable() })
    .optional(),
});
export type DesignSwap = z.infer<typeof designSwapSchema>;

/** Sheets that are told one by one; of more the worst ones. */
export const MOST_SWAPPED = 500;

/** What other designs would do to the sheets that they are for. */
export interface DesignSwapImpact {
  /** Those drawn with another design or another revision of it. */
  sheets: number;
  /** With something new to mend; with something mended; with another drawing area. */
  worse: number;
  mended: number;
  areas: number;
  /** Names of parameters that their designs no longer show, and of those that they show now. */
  lost: string[];
  gained: string[];
  /** The worst first, each with the design that it would have. */
  told: (SheetSwap & Pick<Sheet, 'id' | 'number' | 'title' | 'design'>)[];
  /** What the sheets would be drawn with. */
  designs: ProjectDesignsRecord;
}

/** What a new project takes along from the one that it is begun from, besides its designs, its numbering and its file names. */
export const TAKEN_ALONG = ['data', 'sheets', 'views', 'sets'] as const;
export type TakenAlong = (typeof TAKEN_ALONG)[number];

export const projectCreateSchema = z.strictObject({
  name: z.string().trim().min(1).max(200),
  designId: idSchema.nullable(),
  /** The project that it is begun from; its design is that one's then. */
  from: z.strictObject({ projectId: idSchema, take: z.array(z.enum(TAKEN_ALONG)).max(TAKEN_ALONG.length) }).optional(),
});
export type ProjectCreate = z.infer<typeof projectCreateSchema>;

export const projectChangeSchema = z.strictObject({
  values: valuesSchema.optional(),
  designId: idSchema.nullable().optional(),
  designRevision: z.number().int().min(1).max(MOST_COUNT).nullable().optional(),
  standard: standardNumberSchema.nullable().optional(),
  firstRevision: revisionCodeSchema.optional(),
  archived: z.boolean().optional(),
  numbering: numberingSchema.nullable().optional(),
  fileNames: z.string().trim().min(1).max(200).nullable().optional(),
  device: z.string().min(1).max(40).nullable().optional(),
  /** The ids of its sheets as they are to stand; null for the order of their numbers. */
  sheetOrder: z.array(idSchema).max(MOST_SHEETS).nullable().optional(),
  /** All kinds that differ from the others; the rest of them no longer does. */
  kinds: z.array(projectKindChangeSchema).max(40).optional(),
  version: versionSchema,
});
export type ProjectChange = z.infer<typeof projectChangeSchema>;
