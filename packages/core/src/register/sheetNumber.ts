import type { SheetKind } from './sheetKind';
import { figureOf } from './sheetKind';
import type { NumberingScheme } from './numberingScheme';
import { placesIn } from './numberingScheme';
import type { NumberedSheet } from './ownNumbering';
import { nextByOwnScheme } from './ownNumbering';

/** A sheet number of the form of the US National CAD Standard (from memory): discipline, sheet type, sequence. */
export interface SheetNumber {
  discipline: string;
  type: number;
  sequence: number;
}

const FORM = /^([A-Z]{1,2})-(\d)(\d{2})$/;

/** Splits `A-101`; undefined for a number of another form. */
export function readSheetNumber(text: string): SheetNumber | undefined {
  const match = FORM.exec(text.trim().toUpperCase());
  return match ? { discipline: match[1] ?? '', type: Number(match[2]), sequence: Number(match[3]) } : undefined;
}

export function writeSheetNumber(number: SheetNumber): string {
  return `${number.discipline}-${number.type}${String(number.sequence).padStart(2, '0')}`;
}

/**
 * The number to propose for a new sheet: the next one in the sequence of its discipline and type, or the next by the scheme that
 * most of the project's numbers follow, where that is another.
 * @param sheets the project's sheets
 * @param kind the sheet's kind, whose figure among all kinds is the type digit
 * @param discipline a letter or two; the usual one of the kind when left out
 */
export function nextSheetNumber(
  sheets: readonly NumberedSheet[],
  kind: string,
  kinds: readonly SheetKind[],
  discipline?: string,
): string {
  const read = sheets.flatMap(({ number }) => readSheetNumber(number) ?? []);
  if (read.length < sheets.length / 2) {
    const own = nextByOwnScheme(sheets, kind);
    if (own !== undefined) return own;
  }
  const type = figureOf(kinds, kind) ?? 0;
  const chosen = discipline ?? usualDiscipline(read, kind, type);
  const sequences = read
    .filter((each) => each.discipline === chosen && each.type === type)
    .map((each) => each.sequence);
  const next = Math.max(0, ...sequences) + 1;
  if (next <= 99) return writeSheetNumber({ discipline: chosen, type, sequence: next });
  // The two digits are used up: the smallest one that is free, however the others came about.
  for (let free = 1; free <= 99; free++) {
    if (!sequences.includes(free)) return writeSheetNumber({ discipline: chosen, type, sequence: free });
  }
  return '';
}

/**
 * The discipline that a kind of sheet usually has in a project: that of its other sheets of the kind, or else that of all sheets
 * but the general ones. General sheets, G, are covers only.
 */
function usualDiscipline(read: readonly SheetNumber[], kind: string, type: number): string {
  if (kind === 'cover') return 'G';
  const drawn = read.filter((each) => each.discipline !== 'G');
  const sameKind = drawn.filter((each) => each.type === type);
  return mostUsed((sameKind.length > 0 ? sameKind : drawn).map((each) => each.discipline)) ?? 'A';
}

function mostUsed(words: readonly string[]): string | undefined {
  const counts = new Map<string, number>();
  for (const word of words) counts.set(word, (counts.get(word) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
}

/** Numbers of other forms, with the digits in them as numbers. */
const OTHER_FORMS = new Intl.Collator('en', { numeric: true });

/**
 * Sheets in the order of their numbers: by discipline with G first, then by type and sequence; other forms come last, by text. By
 * a scheme, in the order in which its pattern has its parts, disciplines and zones as the scheme lists them.
 */
export const inSheetOrder = <Sheet extends { number: string }>(
  sheets: readonly Sheet[],
  scheme?: NumberingScheme | null,
): Sheet[] =>
  sheets
    .map((sheet) => ({
      sheet,
      key: keyOf(sheet.number),
      places: scheme ? placesIn(scheme, sheet.number) : undefined,
    }))
    .sort((a, b) => (scheme ? comparePlaces(a.places, b.places) : 0) || compare(a.key, b.key))
    .map(({ sheet }) => sheet);

/** Sheets in an order by hand; those that it does not name come last, as they stand. */
export function inHandOrder<Sheet extends { id: string }>(sheets: readonly Sheet[], order: readonly string[]): Sheet[] {
  const places = new Map(order.map((id, i) => [id, i]));
  const placeOf = ({ id }: Sheet): number => places.get(id) ?? order.length;
  return [...sheets].sort((a, b) => placeOf(a) - placeOf(b));
}

/** An order with some of its sheets moved together, before another one or to the end; they keep the order among themselves. */
export function movedOrder(order: readonly string[], moved: ReadonlySet<string>, before: string | null): string[] {
  const rest = order.filter((id) => !moved.has(id));
  const at = before === null ? -1 : rest.indexOf(before);
  return rest.toSpliced(at < 0 ? rest.length : at, 0, ...order.filter((id) => moved.has(id)));
}

/** An order with some of its sheets a place further up or down, together; undefined where they cannot go any further. */
export function steppedOrder(order: readonly string[], moved: ReadonlySet<string>, by: -1 | 1): string[] | undefined {
  const places = order.flatMap((id, i) => (moved.has(id) ? [i] : []));
  const [first, last] = [places[0], places.at(-1)];
  if (first === undefined || last === undefined) return undefined;
  if (by < 0) return first === 0 ? undefined : movedOrder(order, moved, order[first - 1]!);
  if (last === order.length - 1) return undefined;
  return movedOrder(order, moved, order[last + 2] ?? null);
}

/** Where a number stands among those of its scheme; numbers of another form come last. */
function comparePlaces(a: readonly number[] | undefined, b: readonly number[] | undefined): number {
  if (!a || !b) return a ? -1 : b ? 1 : 0;
  const i = a.findIndex((place, k) => place !== b[k]);
  return i < 0 ? 0 : a[i]! - b[i]!;
}

interface Key {
  text: string;
  read: SheetNumber | undefined;
}

const keyOf = (text: string): Key => ({ text, read: readSheetNumber(text) });

function compare(a: Key, b: Key): number {
  const [first, second] = [a.read, b.read];
  if (!first || !second) return first ? -1 : second ? 1 : OTHER_FORMS.compare(a.text, b.text);
  if (first.discipline !== second.discipline) {
    if (first.discipline === 'G') return -1;
    if (second.discipline === 'G') return 1;
    return first.discipline < second.discipline ? -1 : 1;
  }
  return first.type - second.type || first.sequence - second.sequence;
}
