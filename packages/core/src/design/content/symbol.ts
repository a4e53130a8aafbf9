import { z } from 'zod';
import { kindOfContent } from './kind';
import { formulaSchema, placingFields } from './placing';

export const SYMBOLS = ['north', 'first angle', 'third angle'] as const;
export type SymbolName = (typeof SYMBOLS)[number];

/** A drawn sign: north arrow, projection mark. */
export const symbolSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('symbol'),
  symbol: z.enum(SYMBOLS),
  /** Its height on paper. */
  height: formulaSchema,
});
export type SymbolContent = z.infer<typeof symbolSchema>;

/** What symbols are called. */
export const SYMBOL_WORDS: Readonly<Record<SymbolName, string>> = {
  north: 'North arrow',
  'first angle': 'First angle projection',
  'third angle': 'Third angle projection',
};

export const symbol = kindOfContent(symbolSchema, {
  name: 'Symbol',
  label: (content) => SYMBOL_WORDS[content.symbol],
  inWords: (content) => `the symbol ${content.symbol}`,
  formulas: () => [{ path: ['height'], what: 'the height of a symbol' }],
});
