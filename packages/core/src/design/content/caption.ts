import { z } from 'zod';
import { fitPolicySchema } from './fitPolicy';
import { kindOfContent, quoted } from './kind';
import { otherLanguagesSchema } from './languages';
import { idSchema, placingFields, wordsSchema } from './placing';

/** Fixed words. */
export const captionSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('caption'),
  text: wordsSchema,
  inLanguages: otherLanguagesSchema.optional(),
  role: idSchema,
  fit: fitPolicySchema,
});
export type Caption = z.infer<typeof captionSchema>;

export const caption = kindOfContent(captionSchema, {
  name: 'Caption',
  label: ({ text }) => text,
  inWords: ({ text }) => `the caption ${quoted(text)}`,
  roles: () => [['role']],
});
