import { z } from 'zod';

const nameSchema = z.string().trim().min(1, 'it needs a name').max(60);

/** Columns that a table of the office's own may have. */
export const MOST_OWN_COLUMNS = 20;

export const ownTableSchema = z.strictObject({
  /** Stays the same when the name changes. */
  id: z
    .string()
    .max(40)
    .regex(/^[A-Za-z0-9_-]+$/, 'ids are letters, digits, - and _'),
  name: nameSchema,
  columns: z
    .array(z.strictObject({ key: z.string().regex(/^[a-z][A-Za-z0-9]{0,39}$/), name: nameSchema }))
    .min(1, 'it needs a column')
    .max(MOST_OWN_COLUMNS),
});
/** A table that an office keeps besides those that Mendrel knows: a door list, a finishes list. */
export type OwnTable = z.infer<typeof ownTableSchema>;
type OwnColumns = OwnTable['columns'];

/**
 * Columns under new names. A name that was there keeps its data; a new name in the place of one that is gone takes that one's,
 * for it was renamed.
 */
export function renamedColumns(before: OwnColumns, names: readonly string[]): OwnColumns {
  const kept = new Map(before.map(({ key, name }) => [name, key]));
  const gone = new Set(before.filter(({ name }) => !names.includes(name)).map(({ key }) => key));
  const used = new Set(before.map(({ key }) => key));
  let next = 1;
  const fresh = (): string => {
    while (used.has(`c${next}`)) next++;
    used.add(`c${next}`);
    return `c${next}`;
  };
  return names.map((name, i) => {
    const key = kept.get(name);
    if (key !== undefined) return { key, name };
    const here = before[i]?.key;
    if (here === undefined || !gone.delete(here)) return { key: fresh(), name };
    return { key: here, name };
  });
}
