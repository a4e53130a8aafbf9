/** Letters that codes count with: I and O look like figures (practice of ASME Y14.35 and ISO 7573, from memory). */
const LETTERS = 'ABCDEFGHJKLMNPQRSTUVWXYZ';

/** With what the codes of a project's revisions begin; each of them is counted on by itself. */
export const FIRST_CODES = [
  { first: 'A', words: 'A, B, C (without I and O)' },
  { first: '1', words: '1, 2, 3' },
  { first: '01', words: '01, 02, 03' },
  { first: 'P01', words: 'P01, P02, P03' },
] as const;

/** Most characters of a code: more would not fit into any column. */
export const MOST_CODE_CHARACTERS = 12;

/** The letters after a run of letters: B after A, AA after Z. */
function lettersAfter(run: string): string {
  const digits = [...run].map((letter) => LETTERS.indexOf(letter));
  for (let i = digits.length - 1; i >= 0; i--) {
    const digit = digits[i] ?? 0;
    if (digit < LETTERS.length - 1) {
      digits[i] = digit + 1;
      return digits.map((each) => LETTERS[each]).join('');
    }
    digits[i] = 0;
  }
  return LETTERS.charAt(0) + digits.map((each) => LETTERS[each]).join('');
}

/**
 * The code after another one: what it ends with is counted on, figures as wide as they are, letters without I and O. So P02 is
 * followed by P03, P02.01 by P02.02, Z by AA, and a dash, which stands for the first issue, by A.
 */
export function codeAfter(code: string): string {
  const figures = /\d+$/.exec(code)?.[0];
  if (figures !== undefined) {
    const next = String(BigInt(figures) + 1n).padStart(figures.length, '0');
    return code.slice(0, -figures.length) + next;
  }
  const letters = /[A-HJ-NP-Z]+$/.exec(code)?.[0];
  if (letters !== undefined) return code.slice(0, -letters.length) + lettersAfter(letters);
  return code === '-' || code === '' ? LETTERS.charAt(0) : `${code}1`;
}

/**
 * The code of a sheet's next revision.
 * @param codes all that the sheet ever had, the newest last; those of withdrawn revisions are not given twice
 * @param first the first code of a sheet
 */
export function nextRevisionCode(codes: readonly string[], first: string): string {
  const used = new Set(codes);
  const last = codes.at(-1);
  let next = last === undefined ? first : codeAfter(last);
  while (used.has(next)) next = codeAfter(next);
  return next;
}
