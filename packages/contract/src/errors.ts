import { z } from 'zod';

/** The one shape of every error the server answers with. */
export const apiErrorSchema = z.object({
  code: z.enum([
    'invalid',
    'not-found',
    'conflict',
    'in-use',
    'too-large',
    'unreadable',
    'stopped',
    'too-many',
    'forbidden',
    'unavailable',
    'internal',
  ]),
  /** For the person: what is wrong and what to do. */
  message: z.string(),
  /** The place: a field of the request, a line of a file, a cell of a design. */
  where: z.string().optional(),
});
export type ApiError = z.infer<typeof apiErrorSchema>;

/** The largest whole number that the database keeps in an `integer`. */
export const MOST_COUNT = 2_147_483_647;

/** Every editable thing carries its version; a change names the version it was made from. */
export const versionSchema = z.number().int().min(1).max(MOST_COUNT);

export const idSchema = z.uuid();
