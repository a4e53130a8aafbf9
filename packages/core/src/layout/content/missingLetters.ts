import type { Finding } from '../../check';
import type { Typeface } from '../../lettering';
import { characterInWords, missingCharacters } from '../../lettering';
import type { LetteringRole } from '../../standard';
import type { Room } from './kind';

/** Characters that are named of one text. */
const MOST_NAMED = 5;

/** What is said of characters that a role's typeface has no letters for; nothing where it has all. */
export function missingLetters(
  text: string,
  role: LetteringRole,
  typeface: Typeface,
  where: Finding['where'],
): Finding[] {
  const missing = missingCharacters(typeface, role.capitals ? text.toUpperCase() : text);
  if (missing.length === 0) return [];
  const named = missing.slice(0, MOST_NAMED).map(characterInWords).join(', ');
  const more = missing.length > MOST_NAMED ? ` and ${missing.length - MOST_NAMED} more` : '';
  return [
    {
      kind: 'characters',
      weight: 'error',
      message: `${typeface.name} has no ${named}${more}, which ${missing.length === 1 ? 'prints as a box' : 'print as boxes'}`,
      where: { ...where, role: role.id },
      mend: `give the role ${role.name} a typeface that has ${missing.length === 1 ? 'it' : 'them'}, or write it otherwise`,
    },
  ];
}

/** The same of words that stand with a drawn mark, by the id of their role; nothing where the standard has no such role. */
export function missingInWords(
  text: string,
  roleId: string,
  content: string,
  { cell, setting }: Pick<Room, 'cell' | 'setting'>,
): Finding[] {
  const role = setting.standard.roles.find((each) => each.id === roleId);
  const typeface = role && setting.typefaces.get(role.typeface);
  return role && typeface ? missingLetters(text, role, typeface, { cell: cell.id, content }) : [];
}
