import type { OfficeStandard, TextImpact } from '@mendrel/core';
import { frameRuleSchema, letteringRoleSchema, ownParameterSchema, penSchema, sheetSizeSchema } from '@mendrel/core';
import { z } from 'zod';
import { idSchema, MOST_COUNT, versionSchema } from './errors';

/** A published standard by its number, or the draft that is being edited. */
export const standardNumberSchema = z.number().int().min(1).max(MOST_COUNT);

export interface StandardRevision {
  number: number;
  /** What changed, in the words of who fixed it. */
  note: string;
  publishedAt: string;
}

/** The standard that is being edited, and the fixed ones before it, the newest first. */
export interface StandardState {
  draft: OfficeStandard;
  version: number;
  /** Whether the draft differs from the newest published one, or none was published yet. */
  changed: boolean;
  revisions: StandardRevision[];
}

/** A standard as it was published, or the draft. */
export interface StandardAt {
  number: number | null;
  /** What designs and sheets use: parameters are always those of the draft. */
  standard: OfficeStandard;
  /** Parameters as they were fixed, for telling what has changed since. */
  parametersAsPublished: OfficeStandard['parameters'];
}

export const standardChangeSchema = z.strictObject({ standard: z.unknown(), version: versionSchema });
export interface StandardChangeRequest {
  standard: OfficeStandard;
  version: number;
}

export const publishStandardSchema = z.strictObject({
  note: z.string().trim().min(1, 'say what changed').max(1000),
  version: versionSchema,
});
export type PublishStandard = z.infer<typeof publishStandardSchema>;

/** Entries that are added to the standard from where they are needed, and the design that is to have them at once. */
export const standardAdditionSchema = z.strictObject({
  sizes: z.array(sheetSizeSchema).max(20).default([]),
  roles: z.array(letteringRoleSchema).max(20).default([]),
  pens: z.array(penSchema).max(20).default([]),
  parameters: z.array(ownParameterSchema).max(20).default([]),
  frameRules: z.array(frameRuleSchema).max(20).default([]),
  design: idSchema.optional(),
});
export type StandardAdditionRequest = z.input<typeof standardAdditionSchema>;
export type StandardAddition = Omit<z.infer<typeof standardAdditionSchema>, 'design'>;

/** What became of entries that were added: the revision that has them, null for the draft. */
export interface StandardAdded {
  revision: number | null;
  /** Whether that revision was published for it. */
  published: boolean;
}

export const standardImpactSchema = z.strictObject({
  standard: z.unknown(),
  /** By this it is asked how far the comparison is. */
  following: idSchema.optional(),
});

/** How far a comparison is: sheets compared, of all. */
export interface ImpactProgress {
  done: number;
  all: number;
}

/** What a changed standard does to a design on all its sizes, with its longest values. */
export interface DesignImpact extends TextImpact {
  id: string;
  name: string;
  /** It follows the draft, so that the change takes effect as soon as it is saved. */
  atOnce: boolean;
}

/** What a changed standard does to designs and to the sheets of all projects. */
export interface StandardImpact {
  designs: DesignImpact[];
  sheets: TextImpact & {
    /** Sheets that have a design. */
    count: number;
    /** Of these: those with a text that changes, and those of them that follow the draft. */
    touched: number;
    atOnce: number;
  };
}

/** Where a parameter stands. */
export interface ParameterUse {
  key: string;
  /** Drafts, with the number of places in each. */
  designs: { id: string; name: string; places: number }[];
  /** Fixed revisions that somebody draws by: the newest of each design, and those of projects. */
  revisions: { name: string; number: number }[];
  /** Projects, sets and sheets with a value of their own. */
  projects: number;
  sets: number;
  sheets: number;
  /** Projects whose files are named by it. */
  fileNames: number;
  office: boolean;
}

export const typefaceSchema = z.object({
  id: idSchema.nullable(),
  name: z.string(),
  licence: z.string(),
  shipped: z.boolean(),
});
/** A lettering typeface; those that ship have no id. */
export type TypefaceRecord = z.infer<typeof typefaceSchema>;

/** Designs whose title blocks go into a starter drawing, in the order of their names. */
export const MOST_STARTER_DESIGNS = 50;

/** Largest font file that may be sent, in bytes: 8 MB. */
export const MOST_FONT_BYTES = 8 * 1024 * 1024;
