import { z } from 'zod';
import { kindOfContent, quoted } from './kind';
import { formulaSchema, placingFields, wordsSchema } from './placing';

/** How much of a code may be damaged or covered: 7, 15, 25 or 30 % (ISO/IEC 18004, from memory). */
export const CODE_LEVELS = ['L', 'M', 'Q', 'H'] as const;
export type CodeLevel = (typeof CODE_LEVELS)[number];

/** A QR code of words from data, for whoever holds the paper in front of a camera. */
export const codeSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('code'),
  /** What it says: `{project.number}/{sheet.number}`. */
  pattern: wordsSchema,
  /** Its side on paper with the clear edge around it. */
  side: formulaSchema,
  level: z.enum(CODE_LEVELS),
});
export type CodeContent = z.infer<typeof codeSchema>;

export const code = kindOfContent(codeSchema, {
  name: 'QR code',
  label: ({ pattern }) => `QR code ${pattern}`.slice(0, 40),
  inWords: ({ pattern }) => `the QR code ${quoted(pattern)}`,
  formulas: () => [{ path: ['side'], what: 'the side of a QR code' }],
  patterns: () => [['pattern']],
});
