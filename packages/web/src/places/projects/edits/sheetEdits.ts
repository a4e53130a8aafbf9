import type { Sheet, SheetChange } from '@mendrel/contract';
import type { View } from '@mendrel/core';
import { mergedFields } from './mergedFields';
import { mergedViews } from './mergedViews';

type Change = Omit<SheetChange, 'version'>;

/** What is to change on one sheet. */
export interface SheetEdit {
  /** As it was seen when the change was asked for. */
  sheet: Sheet;
  change: Change;
}

/** The fields of a sheet that a change replaces, as they were. */
export const fieldsBefore = (sheet: Sheet, change: Change): Change =>
  Object.fromEntries(Object.keys(change).map((key) => [key, sheet[key as keyof Change]]));

/** A sheet as an edit leaves it. */
export const edited = ({ sheet, change: { design = sheet.design, ...change } }: SheetEdit): Sheet => ({
  ...sheet,
  ...change,
  design: design && { ...design, revision: design.revision ?? null },
});

/** What the views of a sheet are to be. */
export const viewsEdit = (sheet: Sheet, views: readonly View[]): SheetEdit => ({
  sheet,
  change: { views: [...views] },
});

/** An edit of a sheet as it is by now: of its values and its views, only what it made others is replaced. */
export function onto(now: Sheet, edit: SheetEdit): SheetEdit {
  const { sheet, change } = edit;
  if (now === sheet) return edit;
  const { values, views } = change;
  return {
    sheet: now,
    change: {
      ...change,
      ...(values ? { values: mergedFields(now.values, sheet.values, values) } : {}),
      ...(views ? { views: mergedViews(now.views, sheet.views, views) } : {}),
    },
  };
}
