import { MOST_CODE_CHARACTERS } from '@mendrel/core';
import { z } from 'zod';
import { idSchema, versionSchema } from './errors';
import { MOST_SHEETS } from './sheets';

/** Revisions of one project; the list of them is never cut. */
export const MOST_REVISIONS = 1000;

export const revisionCodeSchema = z
  .string()
  .trim()
  .min(1, 'a revision needs a code')
  .max(MOST_CODE_CHARACTERS, `a code has at most ${MOST_CODE_CHARACTERS} characters`);

const words = {
  /** A day, as it is typed; where it is shown it takes the office's form. */
  date: z.string().trim().min(1, 'a revision needs a date').max(40),
  description: z.string().trim().min(1, 'say what was changed').max(500),
  by: z.string().trim().max(60),
  checked: z.string().trim().max(60),
};

/** A revision of a project. Its codes stand with the sheets that have it. */
export const revisionSchema = z.object({
  id: idSchema,
  projectId: idSchema,
  ...words,
  /** Why it was withdrawn; null while it stands. */
  withdrawn: z.string().nullable(),
  madeAt: z.string(),
  version: versionSchema,
});
export type Revision = z.infer<typeof revisionSchema>;

export const revisionCreateSchema = z.strictObject({
  /** Chosen by whoever asks: asked for twice, it is made once. */
  id: idSchema,
  ...words,
  /** One code for all its sheets; null for the next one of each sheet. */
  code: revisionCodeSchema.nullable(),
  sheets: z.array(idSchema).min(1, 'choose the sheets that it is for').max(MOST_SHEETS),
});
export type RevisionCreate = z.infer<typeof revisionCreateSchema>;

export const revisionChangeSchema = z.strictObject({
  date: words.date.optional(),
  description: words.description.optional(),
  by: words.by.optional(),
  checked: words.checked.optional(),
  /** Why it is withdrawn, or null to let it stand again. */
  withdrawn: z.string().trim().min(1, 'say why it is withdrawn').max(500).nullable().optional(),
  version: versionSchema,
});
export type RevisionChange = z.infer<typeof revisionChangeSchema>;
