import { lengthAtStart, MM_PER, QuantityError } from './length';

/** A drawing scale as the real length that one unit of paper shows: 100 for 1:100, 48 for 1/4" = 1'-0", 0.5 for 2:1. */
export interface Scale {
  readonly denominator: number;
  readonly words: string;
}

/** Scales as they were read: a register of thousands of sheets asks for the same few again and again. */
const known = new Map<string, Scale>();
/** More of them than an office has are typed by nobody. */
const MOST_KNOWN = 200;

/**
 * Reads `1:100`, `2:1`, `1/8" = 1'-0"`, `1" = 10'`.
 * @throws QuantityError that says what can be typed instead
 */
export function parseScale(text: string): Scale {
  const before = known.get(text);
  if (before) return before;
  const scale = readWords(text.trim());
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(text, scale);
  return scale;
}

function readWords(words: string): Scale {
  const ratio = /^(\d+(?:\.\d+)?)\s*:\s*(\d+(?:\.\d+)?)$/.exec(words);
  if (ratio) {
    const paper = Number(ratio[1]);
    const real = Number(ratio[2]);
    if (paper > 0 && real > 0) return { denominator: real / paper, words };
  }
  const sides = words.split('=');
  if (sides.length === 2) {
    const [paper, real] = sides.map((side) => {
      const trimmed = side.trim();
      const found = lengthAtStart(trimmed);
      return found && found.characters === trimmed.length ? found.mm : undefined;
    });
    if (paper && real) return { denominator: real / paper, words };
  }
  throw new QuantityError(`"${words}" is not a scale; write for example 1:100, 2:1 or 1/8" = 1'-0"`);
}

/** Whether a scale is written in feet and inches. */
export const isImperial = ({ words }: Scale): boolean => words.includes('=');

/** The scale that words say; undefined for words that say none, such as "as shown". */
export function readScale(text: string): Scale | undefined {
  try {
    return parseScale(text);
  } catch (error) {
    if (error instanceof QuantityError) return undefined;
    throw error;
  }
}

/** The height of lettering to use in a drawing made at real size so that it prints `paperHeight` high (mm in, mm out). */
export function realSizeHeight(paperHeight: number, scale: Scale): number {
  return paperHeight * scale.denominator;
}

/** The length on paper (mm) of a real length (mm) at a scale. */
export function onPaper(real: number, scale: Scale): number {
  return real / scale.denominator;
}

/** Feet in mm, for extents given in feet. */
export const feet = (count: number): number => count * MM_PER.ft;
