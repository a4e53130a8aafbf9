import type { SheetToNumber, NumberingScheme, NumberParts } from './numberingScheme';
import { readNumber, seriesOf, usualParts, writeNumber } from './numberingScheme';
import type { SheetKind } from './sheetKind';
import { figureOf } from './sheetKind';

export interface Renumbering {
  /** Where each series begins to count; from the smallest number among the chosen ones of it when left out. */
  from?: number;
  /** Figures between one number and the next. */
  step: number;
  /** Sets the figure of the type by the kind of each sheet. */
  byKind: boolean;
}

/**
 * New numbers for chosen sheets of a register by a scheme, each series counted on in the order of the register. Numbers of sheets
 * that were not chosen are left out, so that none comes twice.
 * @param sheets all of the register, in its order
 * @returns the new number of each chosen sheet, by id
 */
export function renumbered<S extends SheetToNumber & { id: string }>(
  scheme: NumberingScheme,
  sheets: readonly S[],
  chosen: ReadonlySet<string>,
  { from, step, byKind }: Renumbering,
  kinds: readonly SheetKind[],
): Map<string, string> {
  const others = sheets.filter(({ id }) => !chosen.has(id));
  const taken = new Set(others.map(({ number }) => number));
  const series = new Map<string, { parts: NumberParts; ids: string[]; first: number }>();
  for (const { id, number, kind } of sheets) {
    if (!chosen.has(id)) continue;
    const read = readNumber(scheme, number);
    const usual = read ?? {
      ...usualParts(scheme, others.length > 0 ? others : sheets, kind, kinds),
      sequence: Infinity,
    };
    const figure = figureOf(kinds, kind);
    const parts = usual.type !== undefined && byKind && figure !== undefined ? { ...usual, type: figure } : usual;
    const key = seriesOf(parts);
    const known = series.get(key);
    if (known) {
      known.ids.push(id);
      known.first = Math.min(known.first, parts.sequence);
    } else series.set(key, { parts, ids: [id], first: parts.sequence });
  }
  const numbers = new Map<string, string>();
  for (const { parts, ids, first } of series.values()) {
    let sequence = from ?? (Number.isFinite(first) ? first : 1);
    for (const id of ids) {
      while (taken.has(writeNumber(scheme, { ...parts, sequence }))) sequence++;
      const number = writeNumber(scheme, { ...parts, sequence });
      taken.add(number);
      numbers.set(id, number);
      sequence += step;
    }
  }
  return numbers;
}
