import { z } from 'zod';
import { idSchema, placingFields, wordsSchema } from './placing';

const fitPolicySchema = z.strictObject({
  lines: z.number().int().min(1).max(60),
  condense: z.number().min(0.5).max(1),
  steps: z.number().int().min(0).max(10),
});

/** Fixed words. */
export const captionSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('caption'),
  text: wordsSchema,
  role: idSchema,
  fit: fitPolicySchema,
});
export type Caption = z.infer<typeof captionSchema>;

/** Words from data: `{sheet.position} of {set.count}`. */
export const fieldSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('field'),
  pattern: wordsSchema,
  role: idSchema,
  fit: fitPolicySchema,
});
export type Field = z.infer<typeof fieldSchema>;

/** Long fixed text in paragraphs; it always wraps. */
export const notesSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('notes'),
  text: z.string().max(20_000),
  role: idSchema,
});
export type Notes = z.infer<typeof notesSchema>;
