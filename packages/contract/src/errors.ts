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
    'internal',
  ]),
  /** For the person: what is wrong and what to do. */
  message: z.string(),
  /** The place: a field of the request, a line of a file, a cell of a design. */
  where: z.string().optional(),
});
export type ApiError = z.infer<typeof apiErrorSchema>;

/** Every editable thing carries its version; a change names the version it was made from. */
export const versionSchema = z.number().int().min(1);

export const idSchema = z.uuid();
