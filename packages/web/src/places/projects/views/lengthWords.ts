import type { WorkingUnit } from '@mendrel/core';
import { formatLength, parseLength, QuantityError } from '@mendrel/core';

/** A length on paper as it is told of views: whole millimetres, or inches to a sixteenth. */
export const onPaper = (mm: number, unit: WorkingUnit): string =>
  unit === 'mm' ? String(Math.round(mm)) : formatLength((Math.round((mm / 25.4) * 16) / 16) * 25.4, 'in');

/** A length in the building, in metres or feet and inches. */
export const realWords = (mm: number, unit: WorkingUnit): string =>
  unit === 'in' ? formatLength(mm, 'ft-in') : `${Number((mm / 1000).toFixed(4))} m`;

/** A length in the building as it is typed, in metres or feet unless a unit says otherwise; undefined for what is no length. */
export function typedReal(words: string, unit: WorkingUnit): number | undefined {
  try {
    return parseLength(words, unit === 'in' ? 'ft' : 'm');
  } catch (error) {
    if (error instanceof QuantityError) return undefined;
    throw error;
  }
}
