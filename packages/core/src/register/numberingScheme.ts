import { z } from 'zod';
import type { SheetKind } from './sheetKind';
import { figureOf } from './sheetKind';

const word = z.string().regex(/^[A-Za-z0-9]{1,6}$/, 'has 1 to 6 letters or figures');

/** What stands in a number besides its own words: each at most once, the sequence always. */
export const NUMBER_PARTS = ['discipline', 'type', 'zone', 'sequence'] as const;
export type NumberPart = (typeof NUMBER_PARTS)[number];

const PART = /\{(\w+)\}/g;

const patternSchema = z
  .string()
  .trim()
  .min(1, 'a scheme needs a pattern')
  .max(40)
  .superRefine((pattern, context) => {
    const problem = patternProblem(pattern);
    if (problem !== undefined) context.addIssue({ code: 'custom', message: problem });
  });

/** How the sheets of a project are numbered. */
export const numberingSchema = z.strictObject({
  /** Words and parts in braces, such as {discipline}-{type}{sequence}. */
  pattern: patternSchema,
  /** Allowed disciplines in the order of the register; any letters where there are none. */
  disciplines: z.array(word).max(40),
  /** Allowed zones; any letters or figures where there are none. */
  zones: z.array(word).max(40),
  /** Figures of the sequence at the least. */
  digits: z.number().int().min(1).max(5),
});
export type NumberingScheme = z.infer<typeof numberingSchema>;

/** A number taken apart by a scheme; what its pattern does not have is left out. */
export interface NumberParts {
  discipline?: string;
  type?: number;
  zone?: string;
  sequence: number;
}

/** What is wrong with a pattern; undefined when nothing. */
export function patternProblem(pattern: string): string | undefined {
  const named = [...pattern.matchAll(PART)].map(([, name]) => name ?? '');
  const unknown = named.find((name) => !NUMBER_PARTS.some((part) => part === name));
  if (unknown !== undefined)
    return `there is no {${unknown}}; a number has ${NUMBER_PARTS.map((part) => `{${part}}`).join(', ')}`;
  if (!named.includes('sequence')) return 'a number needs its {sequence}';
  const twice = named.find((name, i) => named.indexOf(name) !== i);
  if (twice !== undefined) return `{${twice}} stands in it twice`;
  if (/[{}]/.test(pattern.replace(PART, ''))) return 'a brace is open or closed by itself';
  return undefined;
}

/**
 * Identifiers of disciplines in their order, from general to operations: US National CAD Standard, Uniform Drawing System module 1
 * (from memory).
 */
export const NATIONAL_DISCIPLINES = 'G H V B C L S A I Q F P D M E W T R X Z O'.split(' ');

/** Schemes that are usual, to begin with. */
export const USUAL_SCHEMES: readonly { name: string; scheme: NumberingScheme }[] = [
  {
    name: 'US National CAD Standard (from memory)',
    scheme: {
      pattern: '{discipline}-{type}{sequence}',
      disciplines: NATIONAL_DISCIPLINES,
      zones: [],
      digits: 2,
    },
  },
  { name: 'Running number', scheme: { pattern: '{sequence}', disciplines: [], zones: [], digits: 3 } },
  {
    name: 'Discipline and running number',
    scheme: { pattern: '{discipline}{sequence}', disciplines: [], zones: [], digits: 3 },
  },
  {
    name: 'Zone, kind and number',
    scheme: { pattern: '{zone}-{type}{sequence}', disciplines: [], zones: ['A', 'B', 'C'], digits: 2 },
  },
];

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
const oneOf = (words: readonly string[]): string =>
  `(?:${[...words]
    .sort((a, b) => b.length - a.length)
    .map(escaped)
    .join('|')})`;

const forms = new WeakMap<NumberingScheme, RegExp>();

function formOf(scheme: NumberingScheme): RegExp {
  const known = forms.get(scheme);
  if (known) return known;
  const { pattern, disciplines, zones, digits } = scheme;
  const parts: Readonly<Record<NumberPart, string>> = {
    discipline: disciplines.length > 0 ? oneOf(disciplines) : '[A-Za-z]{1,4}',
    type: '\\d',
    zone: zones.length > 0 ? oneOf(zones) : '[A-Za-z0-9]{1,6}?',
    sequence: `\\d{${digits},6}`,
  };
  let [source, from] = ['', 0];
  for (const match of pattern.matchAll(PART)) {
    const part = match[1] as NumberPart;
    source += `${escaped(pattern.slice(from, match.index))}(?<${part}>${parts[part]})`;
    from = match.index + match[0].length;
  }
  const form = new RegExp(`^${source}${escaped(pattern.slice(from))}$`);
  forms.set(scheme, form);
  return form;
}

/** Takes a number apart; undefined for one of another form. */
export function readNumber(scheme: NumberingScheme, number: string): NumberParts | undefined {
  const found = formOf(scheme).exec(number.trim())?.groups;
  if (!found) return undefined;
  return {
    ...(found['discipline'] === undefined ? {} : { discipline: found['discipline'] }),
    ...(found['type'] === undefined ? {} : { type: Number(found['type']) }),
    ...(found['zone'] === undefined ? {} : { zone: found['zone'] }),
    sequence: Number(found['sequence']),
  };
}

/** Where a number stands among those of its scheme, by the parts of the pattern in their order; undefined for another form. */
export function placesIn(scheme: NumberingScheme, number: string): number[] | undefined {
  const parts = readNumber(scheme, number);
  if (!parts) return undefined;
  const placeOf = (words: readonly string[], word: string | undefined): number =>
    words.length > 0 ? words.indexOf(word ?? '') : wordPlace(word ?? '');
  return [...scheme.pattern.matchAll(PART)].map(([, name]) => {
    switch (name as NumberPart) {
      case 'discipline':
        return placeOf(scheme.disciplines, parts.discipline);
      case 'zone':
        return placeOf(scheme.zones, parts.zone);
      case 'type':
        return parts.type ?? 0;
      case 'sequence':
        return parts.sequence;
    }
  });
}

/** Characters of a word that its place takes in. */
const PLACED = 6;
/** A word as a number, so that words come in the order of the alphabet. */
const wordPlace = (word: string): number =>
  [...word.toUpperCase().padEnd(PLACED).slice(0, PLACED)].reduce(
    (sum, sign) => sum * 64 + (sign.charCodeAt(0) - 31),
    0,
  );

/** Puts a number together. */
export const writeNumber = ({ pattern, digits }: NumberingScheme, parts: NumberParts): string =>
  pattern.replace(PART, (_whole, part: NumberPart) => {
    if (part === 'sequence') return String(parts.sequence).padStart(digits, '0');
    return String(parts[part] ?? (part === 'type' ? 0 : ''));
  });

/** What numbers that count on together have in common. */
export const seriesOf = ({ discipline = '', type, zone = '' }: NumberParts): string =>
  [discipline, type ?? '', zone].join('|');

/** A sheet as far as numbering looks at it. */
export interface SheetToNumber {
  number: string;
  kind: string;
}

function mostUsed(words: readonly string[]): string | undefined {
  const counts = new Map<string, number>();
  for (const each of words) counts.set(each, (counts.get(each) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
}

/** What stands for a kind that nobody knows. */
const UNKNOWN_FIGURE = 0;

/** The parts of the number that a sheet of a kind usually has in a project, but its sequence. */
export function usualParts(
  scheme: NumberingScheme,
  sheets: readonly SheetToNumber[],
  kind: string,
  kinds: readonly SheetKind[],
): Omit<NumberParts, 'sequence'> {
  const read = sheets.flatMap((sheet) => {
    const parts = readNumber(scheme, sheet.number);
    return parts ? [{ ...parts, kind: sheet.kind }] : [];
  });
  const same = read.filter((each) => each.kind === kind);
  // A cover says nothing of the discipline of a plan.
  const others = read.filter((each) => (each.kind === 'cover') === (kind === 'cover'));
  const of = (part: 'discipline' | 'zone'): string | undefined =>
    mostUsed((same.length > 0 ? same : others).flatMap((each) => each[part] ?? []));
  const has = (part: NumberPart): boolean => scheme.pattern.includes(`{${part}}`);
  const general = kind === 'cover' && scheme.disciplines.includes('G') ? 'G' : undefined;
  const drawn = scheme.disciplines.includes('A') ? 'A' : scheme.disciplines[0];
  return {
    ...(has('discipline') ? { discipline: of('discipline') ?? general ?? drawn ?? 'A' } : {}),
    ...(has('type') ? { type: figureOf(kinds, kind) ?? UNKNOWN_FIGURE } : {}),
    ...(has('zone') ? { zone: of('zone') ?? scheme.zones[0] ?? 'A' } : {}),
  };
}

/** The next number of a kind of sheet by a scheme: one after the last of its series. */
export function nextByScheme(
  scheme: NumberingScheme,
  sheets: readonly SheetToNumber[],
  kind: string,
  kinds: readonly SheetKind[],
): string {
  const parts = usualParts(scheme, sheets, kind, kinds);
  const series = seriesOf({ ...parts, sequence: 0 });
  const sequences = sheets.flatMap(({ number }) => {
    const read = readNumber(scheme, number);
    return read && seriesOf(read) === series ? [read.sequence] : [];
  });
  const taken = new Set(sheets.map(({ number }) => number));
  for (let sequence = Math.max(0, ...sequences) + 1; ; sequence++) {
    const number = writeNumber(scheme, { ...parts, sequence });
    if (!taken.has(number)) return number;
  }
}
