import { MM_PER } from '../quantity';
import { INCH_HEIGHTS, METRIC_HEIGHTS } from '../standard';
import { firstPlace } from './sortedPlaces';

/** Proportions and units may be off by this part, which is 1 mm in 250. */
export const CLOSE = 0.004;

/** A unit that drawings are made in. */
export interface Unit {
  /** Drawing units to a millimetre of paper. */
  value: number;
  system: 'metric' | 'inch';
  /** 0 for a drawing made at paper size, more for rarer habits. */
  rarity: number;
  words: string;
}

const METRIC_MODEL_SCALES = [2, 5, 10, 20, 25, 50, 100, 200, 250, 500, 1000];
/** Scales that most building drawings are made at, common practice. */
const USUAL_SCALES = [10, 20, 50, 100, 200];
const INCH_MODEL_SCALES = [4, 8, 12, 16, 24, 32, 48, 64, 96, 128, 192, 120, 240, 360, 480, 600, 720];

/** Units that drawings are made in, at paper size and in the model. */
export const UNITS: readonly Unit[] = [
  { value: 1, system: 'metric', rarity: 0, words: 'millimetres of paper' },
  { value: 1 / MM_PER.in, system: 'inch', rarity: 0, words: 'inches of paper' },
  { value: 0.1, system: 'metric', rarity: 1, words: 'centimetres of paper' },
  { value: 0.001, system: 'metric', rarity: 1.5, words: 'metres of paper' },
  ...METRIC_MODEL_SCALES.map((s): Unit => ({
    value: s,
    system: 'metric',
    rarity: USUAL_SCALES.includes(s) ? 1 : 1.4,
    words: `millimetres at 1:${s}`,
  })),
  ...METRIC_MODEL_SCALES.map((s): Unit => ({
    value: s / 1000,
    system: 'metric',
    rarity: USUAL_SCALES.includes(s) ? 1.5 : 1.9,
    words: `metres at 1:${s}`,
  })),
  ...INCH_MODEL_SCALES.map((s): Unit => ({
    value: s / MM_PER.in,
    system: 'inch',
    rarity: 1,
    words: `inches at 1:${s}`,
  })),
];

/** The unit nearest to a measured one, and by which part it is off; undefined when none is near. */
export function nearestUnit(value: number): { unit: Unit; off: number } | undefined {
  let best: { unit: Unit; off: number } | undefined;
  for (const unit of UNITS) {
    const off = Math.abs(value / unit.value - 1);
    if (off < CLOSE && (!best || unit.rarity + off < best.unit.rarity + best.off)) best = { unit, off };
  }
  return best;
}

/** Old lettering is often a few per cent off what was meant, all of it by the same factor. */
const FACTORS = [1, 0.99, 1.01, 0.98, 1.02, 0.97, 1.03, 0.96, 1.04, 0.95, 1.05, 0.94, 1.06];
/**
 * What text heights say of a unit: that the middle one is usual, how many are likely at all, how many lie on a series. Together 1; set
 * by trial on the drawings of `demo/legacy` and `legacy/`.
 */
const AGREEMENT = { usual: 0.35, likely: 0.25, series: 0.4 } as const;
/** Without texts nothing speaks for or against. */
const NOTHING_SAID = 0.5;
/** A height is a step of a series within this part of it. */
const SAME_STEP = 0.015;
/** What it costs that all heights are off by one factor, for a part of them that is off. */
const FACTOR_COST = 2;

/** Heights in mm between which most lettering of a title block lies, and the middle one of all. */
const LETTERING = { least: 1.5, most: 15, middle: { least: 1.65, most: 5.2 } };

/**
 * How well text heights agree with a unit, 0 to 1: whether they are heights that lettering has on paper at all, and
 * whether they lie on a series of standard heights. 0.5 when there are no texts.
 */
export function lettersAgree(heights: readonly number[], unit: number, system: Unit['system']): number {
  if (heights.length === 0) return NOTHING_SAID;
  const onPaper = heights.map((height) => height / unit).sort((a, b) => a - b);
  const middle = onPaper[onPaper.length >> 1] ?? 0;
  const usual = middle >= LETTERING.middle.least && middle <= LETTERING.middle.most ? 1 : 0;
  const likely = onPaper.filter((height) => height >= LETTERING.least && height <= LETTERING.most).length;
  const series = system === 'metric' ? METRIC_HEIGHTS : INCH_HEIGHTS;
  // Drawings have thousands of texts in a handful of heights: each height is looked at once.
  const counts = new Map<number, number>();
  for (const height of onPaper) counts.set(height, (counts.get(height) ?? 0) + 1);
  const agreement = FACTORS.map((factor) => {
    let good = 0;
    for (const [height, count] of counts) {
      const meant = height * factor;
      const step = series[firstPlace(series, meant * (1 - SAME_STEP))];
      if (step !== undefined && step <= meant * (1 + SAME_STEP)) good += count;
    }
    return good / onPaper.length - FACTOR_COST * Math.abs(factor - 1);
  });
  return (
    AGREEMENT.usual * usual + AGREEMENT.likely * (likely / onPaper.length) + AGREEMENT.series * Math.max(...agreement)
  );
}
