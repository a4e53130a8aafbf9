import { z } from 'zod';
import type { Values } from '../../parameter';
import { LANGUAGES_KEY } from '../../parameter';

/** Fixed words in other languages, by the names that the office gives these; its first language is the text itself. */
export const otherLanguagesSchema = z
  .record(z.string().min(1).max(40), z.string().max(2000))
  .refine((words) => Object.keys(words).length <= 8, { message: 'there are words in more than 8 languages' });
export type OtherLanguages = z.infer<typeof otherLanguagesSchema>;

/** Between the same words in two languages. */
const BETWEEN = ' / ';

/** Fixed words in the languages that a project has chosen, one after the other; where there are none in a language, as they are. */
export function inChosenLanguages(text: string, others: OtherLanguages | undefined, values: Values): string {
  if (!others) return text;
  const chosen = (values[LANGUAGES_KEY] ?? '').split(',').flatMap((name) => name.trim() || []);
  if (chosen.length === 0) return text;
  const words = chosen.map((name) => (Object.hasOwn(others, name) && others[name]) || text);
  return [...new Set(words)].join(BETWEEN);
}
