import { z } from 'zod';
import { fitPolicySchema } from './fitPolicy';
import { kindOfContent, quoted } from './kind';
import { idSchema, placingFields, wordsSchema } from './placing';

/** Words from data: `{sheet.position} of {set.count}`. */
export const fieldSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('field'),
  pattern: wordsSchema,
  role: idSchema,
  fit: fitPolicySchema,
});
export type Field = z.infer<typeof fieldSchema>;

export const field = kindOfContent(fieldSchema, {
  name: 'Field',
  label: ({ pattern }) => pattern,
  inWords: ({ pattern }) => `the field ${quoted(pattern)}`,
  patterns: () => [['pattern']],
  roles: () => [['role']],
});
