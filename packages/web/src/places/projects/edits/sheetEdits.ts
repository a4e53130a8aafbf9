import type { Sheet, SheetChange } from '@mendrel/contract';

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

/** An edit of a sheet as it is by now: of its values, only those that it made others are replaced. */
export function onto(now: Sheet, edit: SheetEdit): SheetEdit {
  const { sheet, change } = edit;
  if (now === sheet) return edit;
  if (!change.values) return { sheet: now, change };
  const values = { ...now.values };
  for (const key of new Set([...Object.keys(sheet.values), ...Object.keys(change.values)])) {
    const value = change.values[key];
    if (value === sheet.values[key]) continue;
    if (value === undefined) delete values[key];
    else values[key] = value;
  }
  return { sheet: now, change: { ...change, values } };
}
