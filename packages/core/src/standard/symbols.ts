import { z } from 'zod';
import type { Linework } from '../linework';
import { lineworkSchema } from '../linework';

/** Pieces and numbers that a symbol may have: it stands in the standard, which every page loads. */
const MOST_PIECES = 300;
const MOST_SYMBOL_NUMBERS = 4000;
/** No symbol is wider or higher as it is kept, in mm. */
const MOST_SIDE = 1000;

/** Numbers that say where pieces stand. */
const numbersIn = (linework: readonly Linework[]): number =>
  linework.reduce(
    (sum, piece) =>
      sum +
      (piece.kind === 'stroke'
        ? piece.points.length
        : piece.kind === 'arc'
          ? 5
          : piece.rings.reduce((all, ring) => all + ring.length, 0)),
    0,
  );

/** A symbol of the office's own, as it was drawn. */
export const ownSymbolSchema = z
  .strictObject({
    id: z.string().min(1).max(40),
    name: z.string().trim().min(1, 'a symbol needs a name').max(60),
    /** In mm; only the proportion counts, for a design says how high it stands. */
    width: z.number().positive().max(MOST_SIDE),
    height: z.number().positive().max(MOST_SIDE),
    /** The point about which it is turned, from its lower left corner. */
    base: z.strictObject({
      x: z
        .number()
        .min(-MOST_SIDE)
        .max(2 * MOST_SIDE),
      y: z
        .number()
        .min(-MOST_SIDE)
        .max(2 * MOST_SIDE),
    }),
    linework: z.array(lineworkSchema).min(1).max(MOST_PIECES),
  })
  .refine(({ linework }) => numbersIn(linework) <= MOST_SYMBOL_NUMBERS, {
    message: 'the symbol has too many lines; draw it simpler',
    path: ['linework'],
  });
export type OwnSymbol = z.infer<typeof ownSymbolSchema>;

/** Symbols that an office may keep. */
export const MOST_OWN_SYMBOLS = 60;
