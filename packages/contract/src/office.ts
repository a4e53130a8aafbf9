import {
  enteredRowsSchema,
  ownKindsSchema,
  MOST_KIND_CHARACTERS,
  MOST_OWN_KINDS,
  MOST_OUTLINE_CHARACTERS,
  MOST_PICTURE_CHARACTERS,
  readOutlineValue,
  readPictureValue,
} from '@mendrel/core';
import { z } from 'zod';
import { idSchema, versionSchema } from './errors';

/** Characters of a value that is words. */
const MOST_WORDS = 2000;

const valueSchema = z
  .string()
  .max(Math.max(MOST_OUTLINE_CHARACTERS, MOST_PICTURE_CHARACTERS))
  .refine((text) => text.length <= MOST_WORDS || readOutlineValue(text) !== undefined || readPictureValue(text), {
    message: `has more than ${MOST_WORDS} characters`,
  });

/** Values by parameter key. */
export const valuesSchema = z.record(z.string().max(80), valueSchema).refine((v) => Object.keys(v).length <= 200, {
  message: 'there are more than 200 values',
});

/** What keeps an issue from going out: sheets with something wrong, those with something missing as well, or nothing. */
export const ISSUE_BLOCKS = ['error', 'gap', 'nothing'] as const;
export type IssueBlocks = (typeof ISSUE_BLOCKS)[number];

export const officeSchema = z.object({
  values: valuesSchema,
  /** Rows of tables for all projects that have none of their own. */
  tables: enteredRowsSchema,
  issueBlocks: z.enum(ISSUE_BLOCKS),
  /** Kinds of sheet besides the usual ones. */
  sheetKinds: ownKindsSchema,
  /** Keys of values that a project may have its own of. */
  replaceable: z.array(z.string().max(80)),
  /** The project that new ones are begun from; null for none. */
  templateId: idSchema.nullable(),
  version: versionSchema,
});
export type Office = z.infer<typeof officeSchema>;

/** The longest value that each parameter has in any project, by its key. */
export type LongestValues = Readonly<Record<string, string>>;

const kindName = z.string().trim().min(1).max(MOST_KIND_CHARACTERS);

export const officeChangeSchema = z.strictObject({
  values: valuesSchema,
  /** They stay as they are when they are left out. */
  tables: enteredRowsSchema.optional(),
  issueBlocks: z.enum(ISSUE_BLOCKS).optional(),
  sheetKinds: ownKindsSchema.optional(),
  /** Kinds that are there under other names; sheets, projects and conditions follow. */
  renamedKinds: z
    .array(z.strictObject({ from: kindName, to: kindName }))
    .max(MOST_OWN_KINDS)
    .optional(),
  replaceable: z.array(z.string().max(80)).max(200).optional(),
  templateId: idSchema.nullable().optional(),
  version: versionSchema,
});
export type OfficeChange = z.infer<typeof officeChangeSchema>;
