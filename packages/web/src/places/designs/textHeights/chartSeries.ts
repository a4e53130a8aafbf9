import type { TextHeightsRecord } from '@mendrel/contract';
import { counted } from '@mendrel/core';

type Heights = TextHeightsRecord['heights'];

/** Designs that have a colour of their own in the chart; the texts of all others stand together. */
export const MOST_NAMED = 7;

/** How many texts each design has of each height; those with most texts by name, all others as one. */
export function chartSeries(heights: Heights): { name: string; data: number[] }[] {
  const designs = new Map<string, { name: string; total: number; data: number[] }>();
  heights.forEach((height, i) => {
    for (const { id, name, texts } of height.designs) {
      const design = designs.get(id) ?? { name, total: 0, data: heights.map(() => 0) };
      designs.set(id, design);
      design.data[i] = texts;
      design.total += texts;
    }
  });
  const sorted = [...designs.values()].sort((a, b) => b.total - a.total);
  const named = sorted.slice(0, MOST_NAMED).map(({ name, data }) => ({ name, data }));
  const others = sorted.slice(MOST_NAMED);
  if (others.length === 0) return named;
  const data = heights.map((_, i) => others.reduce((sum, each) => sum + (each.data[i] ?? 0), 0));
  return [...named, { name: counted(others.length, 'other design'), data }];
}

/** What looks like an accident, in one sentence. */
export function oddHeights(heights: Heights): string {
  const outside = heights.filter(({ inSeries }) => !inSeries).length;
  const near = heights.filter((each) => each.near.length > 0).length;
  const odd = [
    ...(outside > 0 ? [`${outside} not in the office’s series`] : []),
    ...(near > 0 ? [`${near} nearly equal to another`] : []),
  ];
  return `${counted(heights.length, 'height')}; ${odd.length === 0 ? 'all of the office’s series, and well apart' : odd.join(', ')}.`;
}
