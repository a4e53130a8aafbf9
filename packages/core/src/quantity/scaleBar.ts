import { MM_PER } from './length';
import type { Scale } from './scale';
import { isImperial } from './scale';

/** A bar of equal fields that shows real lengths at a scale. */
export interface BarOfScale {
  /** Length of one field on paper, in mm. */
  field: number;
  fields: number;
  /** What stands at the ends of its fields, from 0 on; the last with its unit. */
  figures: string[];
}

/** Figures that are easy to read off: powers of ten times these (common practice; a preferred series of ISO 3 rounded, from memory). */
const METRIC_STEPS = [5, 2.5, 2, 1];
/** In feet also doublings, as rules for feet and inches have them (common practice). */
const FEET_STEPS = [8, 5, 4, 2, 1];
/** Parts of a foot in inches, for details. */
const INCH_STEPS = [6, 3, 2, 1, 0.5, 0.25];
const FIELDS = 4;

/** The largest round step that is not over a length, in its unit. */
function roundStep(most: number, steps: readonly number[]): number {
  const power = 10 ** Math.floor(Math.log10(most));
  // A step just over its power of ten, by the last digits of numbers only, is still that step.
  for (const step of steps) if (step * power <= most * (1 + 1e-9)) return step * power;
  return power;
}

/** Lengths that differ from a figure by less than this part are that figure. */
const figure = (value: number): string => String(Number(value.toPrecision(6)));

/**
 * The longest bar of round figures that is not longer than a length on paper: of metres or millimetres for ratios, of feet or
 * inches for scales in feet and inches.
 * @param longest in mm on paper, more than 0
 */
export function barOfScale(scale: Scale, longest: number): BarOfScale {
  const { denominator } = scale;
  const most = (longest / FIELDS) * denominator;
  const [real, unit] = isImperial(scale) ? feetAndInches(most) : metric(most);
  const perUnit = MM_PER[unit];
  const figures = Array.from({ length: FIELDS + 1 }, (_, i) => figure((i * real) / perUnit));
  figures[FIELDS] = `${figures[FIELDS] ?? ''} ${unit}`;
  return { field: real / denominator, fields: FIELDS, figures };
}

/** A step in mm, with the unit that its figures are told in. */
type Step = readonly [real: number, unit: 'm' | 'mm' | 'ft' | 'in'];

function metric(most: number): Step {
  const real = roundStep(most, METRIC_STEPS);
  return [real, real * FIELDS >= MM_PER.m ? 'm' : 'mm'];
}

function feetAndInches(most: number): Step {
  if (most >= MM_PER.ft * (1 - 1e-9)) return [roundStep(most / MM_PER.ft, FEET_STEPS) * MM_PER.ft, 'ft'];
  const inches = INCH_STEPS.find((step) => step * MM_PER.in <= most * (1 + 1e-9));
  return [(inches ?? roundStep(most / MM_PER.in, METRIC_STEPS)) * MM_PER.in, 'in'];
}
