import type { Sheet } from '@mendrel/contract';

/** A sheet of the register with its place in a set, from 1 on; none for one that is not in it. */
export interface SetRow {
  id: string;
  place: number | undefined;
  sheet: Sheet;
}

/** The sheets of a set in its order. */
export function setSheets(sheets: readonly Sheet[], chosen: readonly string[]): Sheet[] {
  const known = new Map(sheets.map((sheet) => [sheet.id, sheet]));
  return chosen.flatMap((id) => known.get(id) ?? []);
}

/** The sheets of a set in its order, and after them the others in that of the register. */
export function setRows(sheets: readonly Sheet[], chosen: readonly string[]): SetRow[] {
  const inside = setSheets(sheets, chosen);
  const places = new Set(inside.map(({ id }) => id));
  return [
    ...inside.map((sheet, i) => ({ id: sheet.id, place: i + 1, sheet })),
    ...sheets.filter(({ id }) => !places.has(id)).map((sheet) => ({ id: sheet.id, place: undefined, sheet })),
  ];
}

/** The order with one sheet nearer to the front or to the back; at the ends it stays. */
export function moved(chosen: readonly string[], id: string, by: -1 | 1): string[] {
  const from = chosen.indexOf(id);
  const to = from + by;
  if (from < 0 || to < 0 || to >= chosen.length) return [...chosen];
  return chosen.toSpliced(from, 1).toSpliced(to, 0, id);
}

/** Chosen sheets in the order of the register. */
export const inRegisterOrder = (sheets: readonly Sheet[], chosen: Iterable<string>): string[] => {
  const ids = new Set(chosen);
  return sheets.flatMap(({ id }) => (ids.has(id) ? [id] : []));
};

/** The order after others were chosen: those that stay keep their places, new ones follow as the register has them. */
export function rechosen(sheets: readonly Sheet[], before: readonly string[], now: ReadonlySet<string>): string[] {
  const stay = before.filter((id) => now.has(id));
  const known = new Set(stay);
  return [...stay, ...inRegisterOrder(sheets, now).filter((id) => !known.has(id))];
}
