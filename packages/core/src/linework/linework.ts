import { z } from 'zod';

/** Numbers that one piece may have. */
const MOST_NUMBERS = 20_000;

const colour = z
  .string()
  .regex(/^#[0-9a-f]{6}$/, 'is no colour')
  .optional();
/** Of a line, in mm at the linework's own size. */
const width = z.number().positive().max(100).optional();

/** What has no colour or width of its own takes those of the pen that it is drawn in. */
export const lineworkSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('stroke'),
    points: z.array(z.number()).min(4).max(MOST_NUMBERS),
    closed: z.boolean(),
    colour,
    width,
  }),
  z.strictObject({
    kind: z.literal('arc'),
    centre: z.tuple([z.number(), z.number()]),
    radius: z.number().positive(),
    from: z.number(),
    to: z.number(),
    colour,
    width,
  }),
  z.strictObject({
    kind: z.literal('fill'),
    rings: z.array(z.array(z.number()).max(MOST_NUMBERS)).min(1).max(200),
    colour,
  }),
]);

/** A piece of a picture or a symbol, in a box from 0, 0 to its width and height, y up. */
export type Linework = z.infer<typeof lineworkSchema>;
