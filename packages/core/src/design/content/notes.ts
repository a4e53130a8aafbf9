import { z } from 'zod';
import { kindOfContent, quoted } from './kind';
import { idSchema, placingFields } from './placing';

const runSchema = z.strictObject({
  text: z.string().min(1).max(4000),
  strong: z.literal(true).optional(),
  underlined: z.literal(true).optional(),
});
const paragraphSchema = z.strictObject({
  /** The number or the dash of a list. */
  label: z.string().min(1).max(8).optional(),
  runs: z.array(runSchema).max(200),
});

/** Long fixed text in paragraphs; it always wraps. */
export const notesSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('notes'),
  /** Its words, a paragraph a line. */
  text: z.string().max(20_000),
  /** The same words where some of them stand out, or stand in a list. */
  paragraphs: z.array(paragraphSchema).max(400).optional(),
  role: idSchema,
  /** The role whose typeface and pen strong words have, at the height of the others. */
  strong: idSchema.optional(),
});
export type Notes = z.infer<typeof notesSchema>;

export const notes = kindOfContent(notesSchema, {
  name: 'Notes',
  label: ({ text }) => text.slice(0, 40) || 'Notes',
  inWords: ({ text }) => `the notes ${quoted(text)}`,
  roles: ({ strong }) => [['role'], ...(strong === undefined ? [] : [['strong']])],
});
