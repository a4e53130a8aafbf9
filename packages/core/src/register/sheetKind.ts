/** The kinds of sheets there are, with their type digits of the US National CAD Standard (from memory). */
export const TYPE_OF_KIND = {
  cover: 0,
  plan: 1,
  elevation: 2,
  section: 3,
  'large-scale': 4,
  detail: 5,
  schedule: 6,
} as const;
export type SheetKind = keyof typeof TYPE_OF_KIND;
export const SHEET_KINDS = Object.keys(TYPE_OF_KIND) as readonly SheetKind[];

/**
 * What titles of each kind say, in English, German, French, Spanish, Italian and Dutch, without accents (common practice). Looked
 * for in this order: "Section details" are details, and a "Door schedule plan" is a schedule.
 */
const TITLE_WORDS: readonly (readonly [SheetKind, RegExp])[] = [
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

/** The kind that a sheet's title tells, or else its number where that has the form of the US National CAD Standard. */
export function kindOfSheet(title: string, typeDigit: number | undefined): SheetKind | undefined {
  const plain = title
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .toLowerCase();
  const told = TITLE_WORDS.find(([, words]) => words.test(plain))?.[0];
  return told ?? SHEET_KINDS.find((kind) => TYPE_OF_KIND[kind] === typeDigit);
}
