import type { Sheet, SheetChange } from '@mendrel/contract';
import type { Knex } from 'knex';
import { designAt, newestDesignRevision } from '../designs/designModel';

/** The columns of a design of a sheet's own, and whether they are to be written. */
interface DesignColumns {
  redesigned: boolean;
  design_id: string | null;
  design_revision: number | null;
}

/** A design whose revision was left out with its newest. */
export const newestOf = async (
  { id, revision }: NonNullable<SheetChange['design']>,
  database: Knex,
): Promise<NonNullable<Sheet['design']>> => ({
  id,
  revision: revision === undefined ? await newestDesignRevision(id, database) : revision,
});

/**
 * Looks up the designs that sheets are to have of their own; one whose revision was left out begins by its newest.
 * @returns what adds the columns of its design to each of these sheets
 * @throws Failure when there is no such design or revision
 */
export async function ownDesigns<S extends Pick<SheetChange, 'design'>>(
  sheets: readonly S[],
  database: Knex,
): Promise<(sheet: S) => S & DesignColumns> {
  const keyOf = ({ id, revision }: NonNullable<SheetChange['design']>): string => `${id} ${revision}`;
  const found = new Map<string, number | null>();
  for (const { design } of sheets) {
    if (!design || found.has(keyOf(design))) continue;
    const { id, revision } = await newestOf(design, database);
    await designAt(id, revision, database);
    found.set(keyOf(design), revision);
  }
  return (sheet) => {
    const { design } = sheet;
    return {
      ...sheet,
      redesigned: design !== undefined,
      design_id: design?.id ?? null,
      design_revision: design ? (found.get(keyOf(design)) ?? null) : null,
    };
  };
}
