import type { Scale } from '../quantity';
import { isImperial, parseScale } from '../quantity';

const read = (words: string): Scale => parseScale(words);

/** ISO 5455 (from memory) with 1:25, 1:250, 1:1250 and 1:2500, common practice in building. */
export const METRIC_SCALES: readonly Scale[] = [
  '5:1',
  '2:1',
  '1:1',
  '1:2',
  '1:5',
  '1:10',
  '1:20',
  '1:25',
  '1:50',
  '1:100',
  '1:200',
  '1:250',
  '1:500',
  '1:1000',
  '1:1250',
  '1:2000',
  '1:2500',
  '1:5000',
  '1:10000',
].map(read);

/** Architectural and engineering scales, common practice. */
export const IMPERIAL_SCALES: readonly Scale[] = [
  `3" = 1'-0"`,
  `1 1/2" = 1'-0"`,
  `1" = 1'-0"`,
  `3/4" = 1'-0"`,
  `1/2" = 1'-0"`,
  `3/8" = 1'-0"`,
  `1/4" = 1'-0"`,
  `3/16" = 1'-0"`,
  `1/8" = 1'-0"`,
  `3/32" = 1'-0"`,
  `1/16" = 1'-0"`,
  `1" = 10'`,
  `1" = 20'`,
  `1" = 30'`,
  `1" = 40'`,
  `1" = 50'`,
  `1" = 60'`,
].map(read);

/** Scales that drawings of buildings mostly have (common practice). */
const USUAL = [
  ...['1:5', '1:10', '1:20', '1:50', '1:100', '1:200', '1:500'],
  ...[`3" = 1'-0"`, `1 1/2" = 1'-0"`, `1" = 1'-0"`, `1/2" = 1'-0"`, `1/4" = 1'-0"`, `1/8" = 1'-0"`, `1" = 20'`],
].map(read);

/** Whether drawings of buildings mostly have a scale, in ratios or in feet and inches. */
export const isUsual = (scale: Scale): boolean =>
  USUAL.some(
    (usual) => isImperial(usual) === isImperial(scale) && Math.abs(usual.denominator - scale.denominator) < 1e-6,
  );
