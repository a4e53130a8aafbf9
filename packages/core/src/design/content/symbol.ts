import { z } from 'zod';
import { kindOfContent } from './kind';
import { formulaSchema, idSchema, placingFields } from './placing';

export const SYMBOLS = ['north', 'first angle', 'third angle'] as const;
/** A symbol that ships. */
export type SymbolName = (typeof SYMBOLS)[number];

/** A drawn sign: north arrow, projection mark, one of the office's own. */
export const symbolSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('symbol'),
  symbol: z.enum([...SYMBOLS, 'own']),
  /** Which of the office's own symbols. */
  own: idSchema.optional(),
  /** The parameter whose degrees turn it clockwise about its base point; the project's north for the arrow when left out. */
  turnedBy: z.string().min(1).max(60).optional(),
  /** Its height on paper. */
  height: formulaSchema,
});
export type SymbolContent = z.infer<typeof symbolSchema>;

/** What symbols are called. */
export const SYMBOL_WORDS: Readonly<Record<SymbolContent['symbol'], string>> = {
  own: 'Symbol',
  north: 'North arrow',
  'first angle': 'First angle projection',
  'third angle': 'Third angle projection',
};

export const symbol = kindOfContent(symbolSchema, {
  name: 'Symbol',
  label: (content) => SYMBOL_WORDS[content.symbol],
  inWords: ({ symbol }) => (symbol === 'own' ? 'a symbol of the office' : `the symbol ${symbol}`),
  formulas: () => [{ path: ['height'], what: 'the height of a symbol' }],
  parameters: ({ turnedBy }) => (turnedBy === undefined ? [] : [['turnedBy']]),
});
