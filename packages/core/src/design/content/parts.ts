import type { FormulaPart, Path } from './kind';
import type { Content } from './kinds';
import { kindOf } from './kinds';

const CONDITION: FormulaPart = { path: ['when'], what: 'the condition of a content' };
const SHIFT: readonly FormulaPart[] = [
  { path: ['shift', 'along'], what: 'the shift along of a content' },
  { path: ['shift', 'up'], what: 'the shift up of a content' },
];

/** Every formula of a content: its condition, its shift, and those of its kind. */
export function formulasOf(content: Content): FormulaPart[] {
  return [
    ...(content.when === undefined ? [] : [CONDITION]),
    ...(content.shift ? SHIFT : []),
    ...(kindOf(content).formulas?.(content) ?? []),
  ];
}

/** Where patterns of words from data stand in a content. */
export const patternsOf = (content: Content): Path[] => kindOf(content).patterns?.(content) ?? [];

/** Where keys of parameters stand in a content by themselves. */
export const parametersOfContent = (content: Content): Path[] => kindOf(content).parameters?.(content) ?? [];

/** Ids of the lettering roles that a content is set in. */
export const rolesOf = (content: Content): string[] =>
  (kindOf(content).roles?.(content) ?? []).map((path) => textAt(content, path));

/** Ids of the pens that a content is drawn with. */
export const pensOf = (content: Content): string[] =>
  (kindOf(content).pens?.(content) ?? []).map((path) => textAt(content, path));

/** The text at a place in a content. @throws Error where there is none: the kind's entry is wrong */
export function textAt(content: Content, path: Path): string {
  let at: unknown = content;
  for (const key of path) at = (at as Record<string | number, unknown> | undefined)?.[key];
  if (typeof at !== 'string') throw new Error(`there is no text at ${path.join('.')} of a ${content.kind}`);
  return at;
}

/** A content with the texts at some places changed; the same content where none changes. */
export function withTexts(content: Content, paths: readonly Path[], change: (text: string) => string): Content {
  let next = content;
  for (const path of paths) {
    const text = textAt(next, path);
    const changed = change(text);
    if (changed !== text) next = replaced(next, path, changed) as Content;
  }
  return next;
}

/** A value with the text at a place replaced; everything on the way to it is copied. */
function replaced(value: unknown, path: Path, text: string): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return text;
  const inside = replaced((value as Record<string | number, unknown>)[key], rest, text);
  if (!Array.isArray(value)) return { ...(value as object), [key]: inside };
  return value.map((each: unknown, i) => (i === key ? inside : each));
}
