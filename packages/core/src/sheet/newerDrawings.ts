import type { SheetRecord } from '../register';

/** Where a newer drawing of the same name is shown, in words: on which sheet, or here; by the ids of the views that show the older one. */
export type NewerDrawings = Readonly<Record<string, string>>;

interface Newest {
  linework: string;
  brought: string;
  /** The number of the sheet that shows it. */
  on: string;
}

/**
 * Which views of a project show a drawing that another view shows as it was brought later: a file that was brought once more, where
 * only some views were given the new one. A drawing that does not say when it was brought is older than all that do.
 * @returns for a sheet what newer drawings there are of those that its views show; undefined where there are none
 */
export function newerDrawings(sheets: readonly SheetRecord[]): (sheet: SheetRecord) => NewerDrawings | undefined {
  const newest = new Map<string, Newest>();
  let several = false;
  for (const { number, views } of sheets) {
    for (const { drawing } of views) {
      if (!drawing) continue;
      const { name, linework, brought = '' } = drawing;
      const known = newest.get(name);
      if (known && known.linework !== linework) several = true;
      if (!known || brought > known.brought) newest.set(name, { linework, brought, on: number });
    }
  }
  if (!several) return () => undefined;
  return ({ number, views }) => {
    const found = views.flatMap(({ id, drawing }) => {
      const last = drawing && newest.get(drawing.name);
      if (!last || last.linework === drawing.linework || last.brought <= (drawing.brought ?? '')) return [];
      return [[id, last.on === number ? 'another view here' : last.on] as const];
    });
    return found.length > 0 ? Object.fromEntries(found) : undefined;
  };
}
