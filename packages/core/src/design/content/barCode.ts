import { z } from 'zod';
import { kindOfContent, quoted } from './kind';
import { formulaSchema, idSchema, placingFields, wordsSchema } from './placing';

/** A bar code of words from data, which a reader in a print room or an archive scans. */
export const barCodeSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('barCode'),
  /** What it says: `{project.number}-{sheet.number}`. */
  pattern: wordsSchema,
  /** Its width on paper with the clear edges beside it. */
  width: formulaSchema,
  /** Height of its bars. */
  height: formulaSchema,
  /** Role of the same words under it; without one they are left out. */
  role: idSchema.optional(),
});
export type BarCode = z.infer<typeof barCodeSchema>;

export const barCode = kindOfContent(barCodeSchema, {
  name: 'Bar code',
  label: ({ pattern }) => `Bar code ${pattern}`.slice(0, 40),
  inWords: ({ pattern }) => `the bar code ${quoted(pattern)}`,
  formulas: () => [
    { path: ['width'], what: 'the width of a bar code' },
    { path: ['height'], what: 'the height of a bar code' },
  ],
  patterns: () => [['pattern']],
  roles: ({ role }) => (role === undefined ? [] : [['role']]),
});
