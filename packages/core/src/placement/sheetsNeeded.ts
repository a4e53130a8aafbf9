import { parseScale } from '../quantity';
import { arrangeOverSheets, MOST_ARRANGED } from './arrangeSheets';
import type { ModuleGrid } from './moduleGrid';
import { scaleChoices } from './room';
import type { View } from './view';

/** How many sheets some views take at one scale. */
export interface SheetsNeeded {
  scale: string;
  /** Undefined where a view is larger than the drawing area. */
  sheets: number | undefined;
  /** Those that no sheet of the size holds. */
  tooLarge: string[];
}

/**
 * How many sheets of one size views take, all at the same scale, for each of some scales.
 * @param grid of an empty sheet of the size
 */
export function sheetsNeeded(views: readonly View[], grid: ModuleGrid, scales: readonly string[]): SheetsNeeded[] {
  const some = views.slice(0, MOST_ARRANGED);
  return scales.map((scale) => {
    const parsed = parseScale(scale);
    const tooLarge = some
      .filter((view) => scaleChoices(view, [parsed], grid)[0]?.fits === false)
      .map(({ name }) => name);
    if (tooLarge.length > 0) return { scale, sheets: undefined, tooLarge };
    const at = some.map((view) => ({ view: { ...view, scale }, group: '' }));
    const { sheets, left } = arrangeOverSheets(at, [], grid, 'fewest');
    return { scale, sheets: left.length === 0 ? sheets.length : undefined, tooLarge: left.map(({ name }) => name) };
  });
}
