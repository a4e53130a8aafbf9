import type { Design } from '../design';
import { cellsOf, rolesOf } from '../design';
import type { WorkingUnit } from '../quantity';
import { counted, formatLength, parseLength, QuantityError } from '../quantity';
import { parsePattern } from '../parameter';
import type { OfficeStandard } from '../standard';
import { parametersOf, roleOf } from '../standard';
import { NEAR_HEIGHT, nearPairs } from './nearPairs';

/** Something in a design that looks as if it was not meant: said in words, with the cells it stands in. */
export interface Inconsistency {
  topic: 'roles' | 'captions' | 'heights' | 'lengths' | 'languages';
  message: string;
  cells: readonly string[];
}

/** Lengths of tracks nearer to each other than this were most likely meant to be one, in mm. */
const NEAR_LENGTH = 1;

/** What a design does in two ways where one was most likely meant. */
export function inconsistencies(design: Design, standard: OfficeStandard): Inconsistency[] {
  return [
    ...parametersInSeveralRoles(design, standard),
    ...parametersWithSeveralCaptions(design, standard),
    ...nearlyEqualHeights(design, standard),
    ...nearlyEqualLengths(design),
    ...missingLanguages(design, standard),
  ];
}

/** The parameter that a field shows by itself; undefined for one of several, or with words. */
function soleKey(pattern: string): string | undefined {
  const [part, ...others] = parsePattern(pattern);
  return part && 'key' in part && others.length === 0 ? part.key : undefined;
}

/** Collects things under a key. */
function gathered<T>(): { add: (key: string, thing: T) => void; each: () => [string, T[]][] } {
  const all = new Map<string, T[]>();
  return {
    add: (key, thing) => {
      const list = all.get(key);
      if (list) list.push(thing);
      else all.set(key, [thing]);
    },
    each: () => [...all],
  };
}

const list = (words: readonly string[]): string =>
  words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

function parametersInSeveralRoles(design: Design, standard: OfficeStandard): Inconsistency[] {
  const used = gathered<{ role: string; cell: string }>();
  for (const { cell } of cellsOf(design)) {
    for (const content of cell.contents) {
      const key = content.kind === 'field' ? soleKey(content.pattern) : undefined;
      if (key !== undefined && content.kind === 'field') used.add(key, { role: content.role, cell: cell.id });
    }
  }
  const parameters = parametersOf(standard);
  return used.each().flatMap(([key, places]): Inconsistency[] => {
    const roles = [...new Set(places.map(({ role }) => role))];
    if (roles.length < 2) return [];
    const names = roles.map((role) => roleOf(standard, role)?.name ?? role);
    const message = `${parameters.get(key)?.name ?? key} is set in ${list(names)}`;
    return [{ topic: 'roles', message, cells: places.map(({ cell }) => cell) }];
  });
}

function parametersWithSeveralCaptions(design: Design, standard: OfficeStandard): Inconsistency[] {
  const used = gathered<{ caption: string; cell: string }>();
  for (const { cell } of cellsOf(design)) {
    const captions = cell.contents.flatMap((content) => (content.kind === 'caption' ? [content.text.trim()] : []));
    const keys = cell.contents.flatMap((content) => (content.kind === 'field' ? (soleKey(content.pattern) ?? []) : []));
    // A caption stands for the one field beside it; over several it names them together.
    const [caption, key] = [captions[0], keys[0]];
    if (captions.length === 1 && keys.length === 1 && caption && key) used.add(key, { caption, cell: cell.id });
  }
  const parameters = parametersOf(standard);
  return used.each().flatMap(([key, places]): Inconsistency[] => {
    const captions = [...new Set(places.map(({ caption }) => caption))];
    if (captions.length < 2) return [];
    const message = `${parameters.get(key)?.name ?? key} is called ${list(captions.map((each) => `“${each}”`))}`;
    return [{ topic: 'captions', message, cells: places.map(({ cell }) => cell) }];
  });
}

/** Captions without words in a language of the office that others have words in; signs and figures are the same in all. */
function missingLanguages(design: Design, { languages = [] }: OfficeStandard): Inconsistency[] {
  const captions = [...cellsOf(design)].flatMap(({ cell }) =>
    cell.contents.flatMap((content) =>
      content.kind === 'caption' && /\p{L}{2}/u.test(content.text)
        ? [{ cell: cell.id, words: content.inLanguages }]
        : [],
    ),
  );
  return languages.slice(1).flatMap((language): Inconsistency[] => {
    const without = captions.filter(({ words }) => !words?.[language]);
    if (without.length === 0 || without.length === captions.length) return [];
    const message = `${counted(without.length, 'caption has', 'captions have')} no words in ${language}`;
    return [{ topic: 'languages', message, cells: without.map(({ cell }) => cell) }];
  });
}

function nearlyEqualHeights(design: Design, standard: OfficeStandard): Inconsistency[] {
  const used = gathered<string>();
  for (const { cell } of cellsOf(design))
    for (const content of cell.contents) for (const role of rolesOf(content)) used.add(role, cell.id);
  const roles = used.each().flatMap(([id, cells]) => {
    const role = roleOf(standard, id);
    return role ? [{ role, cells }] : [];
  });
  return nearPairs(roles, ({ role }) => role.height, NEAR_HEIGHT).map(([a, b]) => ({
    topic: 'heights',
    message: `${a.role.name} and ${b.role.name} are nearly equal: ${formatLength(a.role.height, standard.unit, true)} and ${formatLength(b.role.height, standard.unit, true)}`,
    cells: [...new Set([...a.cells, ...b.cells])],
  }));
}

/** A typed length in mm; undefined for a formula. */
function lengthOf(text: string, unit: WorkingUnit): number | undefined {
  try {
    return parseLength(text, unit);
  } catch (error) {
    if (error instanceof QuantityError) return undefined;
    throw error;
  }
}

function nearlyEqualLengths(design: Design): Inconsistency[] {
  return (['rows', 'columns'] as const).flatMap((axis) => {
    const used = gathered<string>();
    for (const { cell } of cellsOf(design)) {
      for (const track of cell.division?.[axis] ?? []) {
        const mm = 'fixed' in track ? lengthOf(track.fixed, design.unit) : undefined;
        if (mm !== undefined) used.add(String(mm), cell.id);
      }
    }
    const lengths = used.each().map(([mm, cells]) => ({ mm: Number(mm), cells }));
    return nearPairs(lengths, ({ mm }) => mm, NEAR_LENGTH).map(([a, b]): Inconsistency => ({
      topic: 'lengths',
      message: `${axis === 'rows' ? 'Rows' : 'Columns'} of ${formatLength(a.mm, design.unit, true)} and ${formatLength(b.mm, design.unit, true)} are nearly equal`,
      cells: [...new Set([...a.cells, ...b.cells])],
    }));
  });
}
