import type { Finding } from '../../check';
import type { Room } from './kind';

/**
 * What is said of lettering roles that the office standard does not have: the words that are set in them are left out.
 * @param what the content within a sentence: `the table of revisions`
 */
export function unknownRoles(
  ids: readonly string[],
  { cell, setting }: Pick<Room, 'cell' | 'setting'>,
  content: string,
  what: string,
): Finding[] {
  const missing = [...new Set(ids)].filter((id) => !setting.standard.roles.some((role) => role.id === id));
  return missing.map((id) => ({
    kind: 'unknown',
    weight: 'error',
    message: `the office standard has no lettering role "${id}", so words of ${what} are left out`,
    where: { cell: cell.id, content },
    by: 0,
    mend: `choose a role of the standard for ${what}, or move the design to a revision of the standard that has it`,
  }));
}
