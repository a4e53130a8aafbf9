import { z } from 'zod';
import { kindOfContent, quoted } from './kind';
import { idSchema, placingFields } from './placing';

/** Long fixed text in paragraphs; it always wraps. */
export const notesSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('notes'),
  text: z.string().max(20_000),
  role: idSchema,
});
export type Notes = z.infer<typeof notesSchema>;

export const notes = kindOfContent(notesSchema, {
  name: 'Notes',
  label: ({ text }) => text.slice(0, 40) || 'Notes',
  inWords: ({ text }) => `the notes ${quoted(text)}`,
  roles: () => [['role']],
});
