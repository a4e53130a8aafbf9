import type { ModuleGrid } from './moduleGrid';
import { paperSizeIn } from './placeViews';
import { freeModule } from './room';
import type { View } from './view';
import { unmoved } from './view';

/** Stands views into free modules one after the other, in reading order from the upper left; what finds no room has no place. */
function stood(order: readonly View[], fixed: readonly View[], grid: ModuleGrid): Map<string, string | null> {
  const placed: View[] = [...fixed];
  const modules = new Map<string, string | null>();
  for (const view of order) {
    const module = freeModule(view, placed, grid) ?? null;
    modules.set(view.id, module);
    if (module !== null) placed.push({ ...view, module });
  }
  return modules;
}

const countOf = (modules: ReadonlyMap<string, string | null>): number =>
  [...modules.values()].filter((module) => module !== null).length;

/**
 * All views of a sheet in modules that are free of panels and of each other: in their own order, as they are read, or where more of them
 * find room that way, the largest first. Scales and locked views stay; those that were moved within their modules stand in their middle again.
 * @returns the views in the order that they had, those that find no room without a module
 */
export function arrangedViews(views: readonly View[], grid: ModuleGrid): View[] {
  const fixed = views.filter(({ locked }) => locked);
  const loose = views.filter(({ locked }) => !locked);
  const inOrder = stood(loose, fixed, grid);
  const area = (view: View): number => {
    const { width, height } = paperSizeIn(view, grid);
    return width * height;
  };
  const largestFirst =
    countOf(inOrder) === loose.length
      ? inOrder
      : stood(
          [...loose].sort((a, b) => area(b) - area(a)),
          fixed,
          grid,
        );
  const best = countOf(largestFirst) > countOf(inOrder) ? largestFirst : inOrder;
  return views.map((view) => (view.locked ? view : { ...unmoved(view), module: best.get(view.id) ?? null }));
}
