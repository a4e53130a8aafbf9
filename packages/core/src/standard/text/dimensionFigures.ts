import { MM_PER } from '../../quantity';
import type { DimensionLettering } from './dimensionLettering';

/** The figures of a dimension: `6'-8 1/2"` is `6'-8`, the fraction 1/2, and `"`. */
export interface DimensionFigures {
  before: string;
  fraction?: { above: number; below: number };
  after: string;
}

type FigureRules = Pick<DimensionLettering, 'unit' | 'precision' | 'leadingZeros' | 'trailingZeros'>;

/**
 * What a dimension of so many millimetres says: decimals in millimetres, or feet, inches and a fraction in lowest terms.
 * Zeros that lead or trail are written as the dimension lettering has it.
 */
export function dimensionFigures(rules: FigureRules, mm: number): DimensionFigures {
  return rules.unit === 'mm' ? { before: decimal(rules, mm), after: '' } : feetAndInches(rules, mm);
}

function decimal({ precision, leadingZeros, trailingZeros }: FigureRules, mm: number): string {
  let figures = Math.max(0, mm).toFixed(precision);
  if (!trailingZeros && figures.includes('.')) figures = figures.replace(/\.?0+$/, '');
  return leadingZeros ? figures : figures.replace(/^0(?=\.)/, '');
}

function feetAndInches({ precision, leadingZeros, trailingZeros }: FigureRules, mm: number): DimensionFigures {
  let below = 2 ** precision;
  const parts = Math.round((Math.max(0, mm) / MM_PER.in) * below);
  const feet = Math.floor(parts / (12 * below));
  const inches = Math.floor(parts / below) % 12;
  let above = parts % below;
  while (above > 0 && above % 2 === 0) [above, below] = [above / 2, below / 2];
  const fraction = above > 0 ? { above, below } : undefined;
  const foot = feet > 0 || leadingZeros ? `${feet}'` : '';
  if (inches === 0 && !fraction && !trailingZeros && foot !== '' && feet > 0) return { before: foot, after: '' };
  const joined = foot === '' ? '' : `${foot}-`;
  // Half an inch by itself has no zero before it; behind feet the inches are always there.
  const whole = inches > 0 || !fraction || foot !== '' ? String(inches) : '';
  return { before: `${joined}${whole}`, ...(fraction ? { fraction } : {}), after: '"' };
}

/** Figures on one line: `6'-8 1/2"`. */
export function figuresOnOneLine({ before, fraction, after }: DimensionFigures): string {
  if (!fraction) return before + after;
  return `${before}${before === '' || before.endsWith('-') ? '' : ' '}${fraction.above}/${fraction.below}${after}`;
}
