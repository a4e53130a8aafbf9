import { z } from 'zod';
import { formulaSchema, placingFields } from './placing';

export const SYMBOLS = ['north', 'scale bar', 'first angle', 'third angle'] as const;
export type SymbolName = (typeof SYMBOLS)[number];

/** A drawn sign: north arrow, scale bar, projection mark. */
export const symbolSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('symbol'),
  symbol: z.enum(SYMBOLS),
  /** Its height on paper. */
  height: formulaSchema,
});
export type SymbolContent = z.infer<typeof symbolSchema>;
