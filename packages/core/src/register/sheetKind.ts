import { z } from 'zod';

/** A kind of sheet. Its name is what sheets, conditions and tables say. */
export interface SheetKind {
  name: string;
  /** The figure that stands for it in sheet numbers, 0 to 9. */
  figure: number;
}

/** Kinds that every office has, with their type digits of the US National CAD Standard (from memory). */
export const USUAL_KINDS = [
  { name: 'cover', figure: 0 },
  { name: 'plan', figure: 1 },
  { name: 'elevation', figure: 2 },
  { name: 'section', figure: 3 },
  { name: 'large-scale', figure: 4 },
  { name: 'detail', figure: 5 },
  { name: 'schedule', figure: 6 },
] as const satisfies readonly SheetKind[];
type UsualKind = (typeof USUAL_KINDS)[number]['name'];

/** Most kinds that an office has of its own, and characters of the name of one. */
export const [MOST_OWN_KINDS, MOST_KIND_CHARACTERS] = [20, 30];

const ownKindSchema = z.strictObject({
  name: z
    .string()
    .trim()
    .regex(/^\p{L}[\p{L}\p{N} ./&'-]*$/u, 'begins with a letter and has letters, figures and spaces')
    .max(MOST_KIND_CHARACTERS),
  figure: z.number().int().min(0).max(9),
});

/** The kinds of sheet that an office has besides the usual ones. */
export const ownKindsSchema = z
  .array(ownKindSchema)
  .max(MOST_OWN_KINDS)
  .superRefine((own, context) => {
    const all = allKinds(own).map(({ name }) => name.toLowerCase());
    const twice = all.find((name, i) => all.indexOf(name) !== i);
    if (twice !== undefined) context.addIssue({ code: 'custom', message: `there is a kind ${twice} already` });
  });

/** All kinds of sheet of an office. */
export const allKinds = (own: readonly SheetKind[]): readonly SheetKind[] => [...USUAL_KINDS, ...own];

/** The figure of a kind; undefined for one that is not among those. */
export const figureOf = (kinds: readonly SheetKind[], name: string): number | undefined =>
  kinds.find((kind) => kind.name === name)?.figure;

/**
 * What titles of each kind say, in English, German, French, Spanish, Italian and Dutch, without accents (common practice). Looked
 * for in this order: "Section details" are details, and a "Door schedule plan" is a schedule.
 */
const TITLE_WORDS: readonly (readonly [UsualKind, RegExp])[] = [
  [
    'schedule',
    /\b(schedules?|raumbuch|turliste|fensterliste|listen?|nomenclatures?|tableaux?|cuadros?|tabellen?|abaco|staten?)\b/,
  ],
  ['detail', /\b(details?|detaili?|detalles?|dettagli(o)?|detailblatt|carnet de details)\b/],
  ['large-scale', /\b(enlarged|large scale|part plans?|teilgrundriss|agrandi(e|es|s)?|ampliad[ao]s?)\b/],
  ['section', /\b(sections?|schnitte?|coupes?|secciones|seccion|sezion[ei]|doorsneden?|snede)\b/],
  ['elevation', /\b(elevations?|ansichten|ansicht|facades?|elevacion(es)?|alzados?|prospett[oi]|gevels?)\b/],
  [
    'cover',
    /\b(cover|title sheet|general notes|legend|index|list of drawings|deckblatt|planliste|page de garde|portada|copertina)\b/,
  ],
  [
    'plan',
    /\b(plans?|grundrisse?|lageplan|plantas?|pianta|piante|plattegrond(en)?|floor|geschoss|etage|niveau|level)\b/,
  ],
];

/** Letters without accents and capitals. */
const plainOf = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase();

/**
 * The kind that a sheet's title tells, or else its number where that has the form of the US National CAD Standard. An office's own
 * kind is told by its name.
 */
export function kindOfSheet(
  title: string,
  typeDigit: number | undefined,
  kinds: readonly SheetKind[] = USUAL_KINDS,
): string | undefined {
  const plain = ` ${plainOf(title)} `;
  const own = kinds.slice(USUAL_KINDS.length).find(({ name }) => plain.includes(` ${plainOf(name)} `));
  const told = own?.name ?? TITLE_WORDS.find(([, words]) => words.test(plain))?.[0];
  return told ?? kinds.find(({ figure }) => figure === typeDigit)?.name;
}
