import type { SheetToNumber, NumberingScheme } from './numberingScheme';
import { readNumber, seriesOf, writeNumber } from './numberingScheme';
import type { SheetKind } from './sheetKind';
import { figureOf } from './sheetKind';

/** Something in the numbers of a register that was most likely not meant. */
export interface NumberingProblem {
  topic: 'form' | 'kind' | 'gap' | 'alike';
  message: string;
  /** Numbers of the sheets that it is about. */
  numbers: string[];
}

/** Numbers that are missing in a row; of a longer row only the first and the last are told. */
const TOLD_GAPS = 3;

/** What people do not see when they read a number: capitals, spaces, hyphens and leading zeros. */
const skeleton = (number: string): string =>
  number
    .toUpperCase()
    .replace(/[\s\-_.]/g, '')
    .replace(/\d+/g, (run) => String(Number(run)));

function alike(sheets: readonly SheetToNumber[]): NumberingProblem[] {
  const known = new Map<string, string[]>();
  for (const { number } of sheets) known.set(skeleton(number), [...(known.get(skeleton(number)) ?? []), number]);
  return [...known.values()]
    .filter((numbers) => numbers.length > 1)
    .map((numbers) => ({
      topic: 'alike',
      message: `${numbers.join(' and ')} are easily taken for each other`,
      numbers,
    }));
}

/** What a number that a scheme writes looks like. */
export const exampleNumber = (scheme: NumberingScheme): string =>
  writeNumber(scheme, {
    discipline: scheme.disciplines.includes('A') ? 'A' : (scheme.disciplines[0] ?? 'A'),
    type: 1,
    zone: scheme.zones[0] ?? 'A',
    sequence: 1,
  });

/** Numbers that do not follow a scheme, do not say their kind, leave gaps, or look alike. */
export function numberingProblems(
  scheme: NumberingScheme,
  sheets: readonly SheetToNumber[],
  kinds: readonly SheetKind[],
): NumberingProblem[] {
  const problems: NumberingProblem[] = [];
  const series = new Map<string, { sequence: number; number: string }[]>();
  for (const { number, kind } of sheets) {
    const parts = readNumber(scheme, number);
    if (!parts) {
      const message = `${number} is not of the form of ${exampleNumber(scheme)}`;
      problems.push({ topic: 'form', message, numbers: [number] });
      continue;
    }
    const figure = figureOf(kinds, kind);
    if (parts.type !== undefined && figure !== undefined && parts.type !== figure) {
      const message = `${number} is a ${kind}, whose figure is ${figure} and not ${parts.type}`;
      problems.push({ topic: 'kind', message, numbers: [number] });
    }
    const key = seriesOf(parts);
    series.set(key, [...(series.get(key) ?? []), { sequence: parts.sequence, number }]);
  }
  for (const each of series.values()) {
    each.sort((a, b) => a.sequence - b.sequence);
    each.slice(1).forEach(({ sequence, number }, i) => {
      const before = each[i]!;
      const missing = sequence - before.sequence - 1;
      if (missing <= 0) return;
      const parts = readNumber(scheme, number)!;
      const of = (at: number): string => writeNumber(scheme, { ...parts, sequence: at });
      const words =
        missing <= TOLD_GAPS
          ? Array.from({ length: missing }, (_, k) => of(before.sequence + 1 + k)).join(', ')
          : `${of(before.sequence + 1)} to ${of(sequence - 1)}`;
      problems.push({
        topic: 'gap',
        message: `${words} ${missing === 1 ? 'is' : 'are'} missing between ${before.number} and ${number}`,
        numbers: [before.number, number],
      });
    });
  }
  return [...problems, ...alike(sheets)];
}
