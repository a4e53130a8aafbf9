import type { Finding } from '../../check';
import type { Typeface } from '../../lettering';
import { characterInWords, missingCharacters } from '../../lettering';
import type { LetteringRole } from '../../standard';

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
