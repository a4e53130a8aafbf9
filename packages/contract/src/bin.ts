import { z } from 'zod';
import { idSchema } from './errors';

/** Days for which something that was deleted can be restored. */
export const KEPT_DAYS = 30;
/** Deleted things that are listed at a time; the newest first. */
export const BIN_PAGE = 100;

export const BIN_KINDS = ['project', 'sheets', 'design'] as const;
export type BinKind = (typeof BIN_KINDS)[number];

/** Something that was deleted and can be restored. */
export const binEntrySchema = z.object({
  id: idSchema,
  kind: z.enum(BIN_KINDS),
  name: z.string(),
  projectId: idSchema.nullable(),
  deletedAt: z.string(),
});
export type BinEntry = z.infer<typeof binEntrySchema>;
