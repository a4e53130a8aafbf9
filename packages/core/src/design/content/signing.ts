import { z } from 'zod';
import { kindOfContent, quoted } from './kind';
import { formulaSchema, idSchema, placingFields, wordsSchema } from './placing';

export const SIGNING_FORMS = ['line', 'circle'] as const;
/** A line to sign on, or the circle that a seal is set in. */
export type SigningForm = (typeof SIGNING_FORMS)[number];

/** Room that a person fills in on paper: a line to sign on, or the circle of a seal. */
export const signingSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('signing'),
  form: z.enum(SIGNING_FORMS),
  /** Length of the line, or diameter of the circle. */
  size: formulaSchema,
  /** Words under the line or in the circle, from data: `{sheet.checkedBy}`. */
  pattern: wordsSchema,
  role: idSchema,
  pen: idSchema,
});
export type Signing = z.infer<typeof signingSchema>;

/** What the forms are called. */
export const SIGNING_WORDS: Readonly<Record<SigningForm, string>> = {
  line: 'Signature line',
  circle: 'Seal circle',
};

export const signing = kindOfContent(signingSchema, {
  name: 'Signature or seal',
  label: ({ form }) => SIGNING_WORDS[form],
  inWords: ({ form, pattern }) =>
    `the ${SIGNING_WORDS[form].toLowerCase()}${pattern === '' ? '' : ` ${quoted(pattern)}`}`,
  formulas: ({ form }) => [
    { path: ['size'], what: form === 'line' ? 'the length of a signature line' : 'the diameter of a seal circle' },
  ],
  patterns: () => [['pattern']],
  roles: () => [['role']],
  pens: () => [['pen']],
});
