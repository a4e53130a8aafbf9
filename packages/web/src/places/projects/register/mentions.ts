import type { Sheet } from '@mendrel/contract';

/** A text of a sheet that names another sheet by its number. */
export interface Mention {
  /** The number of the sheet that has the text. */
  on: string;
  /** The number that it names. */
  named: string;
}

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** Texts that name sheets by numbers they will not have any more: titles, data, names of views. */
export function mentionsOf(sheets: readonly Sheet[], numbers: readonly string[]): Mention[] {
  if (numbers.length === 0) return [];
  const form = new RegExp(`(?<![\\p{L}\\p{N}])(?:${numbers.map(escaped).join('|')})(?![\\p{L}\\p{N}])`, 'gu');
  return sheets.flatMap(({ number, title, values, views }) => {
    const texts = [title, ...Object.values(values), ...views.map(({ name }) => name)];
    const named = new Set(texts.flatMap((text) => text.match(form) ?? []));
    return [...named].map((each) => ({ on: number, named: each }));
  });
}
