import { isPlainText, isUnseen } from './missingCharacters';
import type { Typeface, Typefaces } from './typeface';

/** Neighbouring letters of a text that one typeface has. */
export interface TypefaceRun {
  text: string;
  fallback: boolean;
}

/** A mark that belongs to the letter before it. */
const MARK = /^\p{M}$/u;

/** A text in runs, those of letters that a typeface lacks and its fallback has apart; spaces and marks go with what is before them. */
export function typefaceRuns(text: string, own: Typeface, fallback: Typeface): TypefaceRun[] {
  const runs: TypefaceRun[] = [];
  for (const letter of text) {
    const last = runs.at(-1);
    const code = letter.codePointAt(0) ?? 0;
    const follows = last !== undefined && (isUnseen(letter) || MARK.test(letter));
    const from = follows ? last.fallback : !own.has(code) && !isUnseen(letter) && fallback.has(code);
    if (last?.fallback === from) last.text += letter;
    else runs.push({ text: letter, fallback: from });
  }
  return runs;
}

/** A typeface that takes the letters it lacks from another one, their capitals as high as its own. */
function joined(own: Typeface, fallback: Typeface): Typeface {
  const scale = own.capHeight / fallback.capHeight;
  const has = (code: number): boolean => own.has(code) || fallback.has(code);
  const between = own.between && ((before: string, after: string): number => own.between?.(before, after) ?? 0);
  return {
    ...own,
    has,
    advance: (text) =>
      isPlainText(text)
        ? own.advance(text)
        : typefaceRuns(text, own, fallback).reduce(
            (sum, run) => sum + (run.fallback ? scale * fallback.advance(run.text) : own.advance(run.text)),
            0,
          ),
    ...(between && {
      between: (before: string, after: string) => {
        if (isPlainText(before) && isPlainText(after)) return between(before, after);
        const [last, first] = [typefaceRuns(before, own, fallback).at(-1), typefaceRuns(after, own, fallback)[0]];
        if (!last || !first || last.fallback !== first.fallback) return 0;
        return last.fallback ? scale * (fallback.between?.(before, after) ?? 0) : between(before, after);
      },
    }),
  };
}

const known = new WeakMap<Typefaces, Map<string, Typefaces>>();

/** Typefaces that take letters they lack from the one of this name; the same ones where there is none. */
export function withFallback(typefaces: Typefaces, name: string | undefined): Typefaces {
  const fallback = name === undefined ? undefined : typefaces.get(name);
  if (name === undefined || !fallback) return typefaces;
  const mine = known.get(typefaces) ?? new Map<string, Typefaces>();
  known.set(typefaces, mine);
  let all = mine.get(name);
  if (!all) {
    const made = new Map<string, Typeface>();
    all = {
      get(asked) {
        const own = typefaces.get(asked);
        if (!own || own === fallback) return own;
        let typeface = made.get(asked);
        if (!typeface) made.set(asked, (typeface = joined(own, fallback)));
        return typeface;
      },
    };
    mine.set(name, all);
  }
  return all;
}
