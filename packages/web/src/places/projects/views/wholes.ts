import type { Sheet } from '@mendrel/contract';
import type { View } from '@mendrel/core';
import { showsPartOf } from '@mendrel/core';
import { newUuid } from '../../../app/newUuid';
import type { SheetEdit } from '../edits/sheetEdits';
import { viewsEdit } from '../edits/sheetEdits';

/** A view that another one can be the large-scale part of. */
export interface Whole {
  id: string;
  name: string;
  /** The number of its sheet. */
  sheet: string;
}

/** Views that are offered. */
const MOST_OFFERED = 40;

/** The views of a project that one can be the large-scale part of. */
export const wholesOf = (view: View, sheets: readonly Sheet[]): Whole[] =>
  sheets
    .flatMap(({ number, views }) =>
      views
        .filter((whole) => whole.id !== view.id && showsPartOf(view, whole))
        .map(({ id, name }) => ({ id, name, sheet: number })),
    )
    .slice(0, MOST_OFFERED);

/** What makes a view the large-scale part of another one, or of none. A whole whose id another view has gets one of its own. */
export function asPartOf(view: View, of: Sheet, whole: string, sheets: readonly Sheet[]): SheetEdit[] {
  const holder = sheets.find(({ views }) => views.some((each) => each.id === whole && showsPartOf(view, each)));
  const isShared = sheets.filter(({ views }) => views.some((each) => each.id === whole)).length > 1;
  const id = holder && isShared ? newUuid() : whole;
  const next: View = { ...view, partOf: id };
  if (whole === '') delete next.partOf;
  const own = of.views.map((each) => (each.id === view.id ? next : each));
  if (!holder || id === whole) return [viewsEdit(of, own)];
  const renewed = (views: readonly View[]): View[] => views.map((each) => (each.id === whole ? { ...each, id } : each));
  if (holder.id === of.id) return [viewsEdit(of, renewed(own))];
  return [viewsEdit(of, own), viewsEdit(holder, renewed(holder.views))];
}
