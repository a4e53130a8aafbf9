import { dateIn } from '../parameter';
import type { Row } from '../table';
import { MOST_CODE_CHARACTERS } from './revisionCodes';

/** A revision that stood on old sheets: what was said of it, and each sheet that had it with its code. */
export interface OldRevision {
  date: string;
  description: string;
  by: string;
  checked: string;
  /** Places of the sheets among those that were asked about. */
  sheets: { sheet: number; code: string }[];
}

/** A day that can be compared; undefined where it is not known which one is meant. */
function dayOf(date: string): string | undefined {
  const day = dateIn('2031-04-02', date);
  return /^\d{4}-\d{2}-\d{2}$/.test(day) ? day : undefined;
}

/** Rows of a sheet that can be kept: those with a code of their own. */
function soundRows(rows: readonly Row[]): Row[] {
  const codes = new Set<string>();
  return rows.filter(({ code = '' }) => {
    if (code === '' || code.length > MOST_CODE_CHARACTERS || codes.has(code)) return false;
    codes.add(code);
    return true;
  });
}

/**
 * The revisions of a project from the rows that its old sheets had: rows that say the same on several sheets are one revision. They
 * stand in an order that keeps each sheet's own; a sheet whose rows would come in another order has them for itself, at the end.
 * @param sheets the rows of each sheet, the oldest first
 */
export function oldRevisions(sheets: readonly (readonly Row[])[]): OldRevision[] {
  const found = new Map<string, OldRevision & { place: number }>();
  const rows = sheets.map(soundRows);
  const keyOf = ({ date, description, by, checked }: Row): string =>
    JSON.stringify([date ?? '', description ?? '', by ?? '', checked ?? '']);
  rows.forEach((own, sheet) =>
    own.forEach((row, place) => {
      const key = keyOf(row);
      const known = found.get(key);
      const { code = '', date = '', description = '', by = '', checked = '' } = row;
      // One that says nothing but its code may be another one on the next sheet, and the same one cannot come twice on one.
      const own = known && !known.sheets.some((each) => each.sheet === sheet) ? known : undefined;
      if (own) {
        own.sheets.push({ sheet, code });
        own.place = Math.max(own.place, place);
      } else {
        const made = { date, description, by, checked, sheets: [{ sheet, code }], place };
        found.set(known ? `${key} ${sheet} ${place}` : key, made);
      }
    }),
  );
  const all = [...found.values()].sort((a, b) => {
    const [one, other] = [dayOf(a.date), dayOf(b.date)];
    return (one && other ? one.localeCompare(other) : 0) || a.place - b.place;
  });
  const inOrder = (sheet: number): boolean => {
    const codes = all.flatMap((each) => each.sheets.flatMap((on) => (on.sheet === sheet ? [on.code] : [])));
    return codes.every((code, i) => code === rows[sheet]?.[i]?.['code']);
  };
  const apart = rows.flatMap((own, sheet) => (own.length > 0 && !inOrder(sheet) ? [sheet] : []));
  const shared = all.map(({ place: _place, ...each }) => ({
    ...each,
    sheets: each.sheets.filter(({ sheet }) => !apart.includes(sheet)),
  }));
  const alone = apart.flatMap((sheet) =>
    (rows[sheet] ?? []).map(({ code = '', date = '', description = '', by = '', checked = '' }): OldRevision => ({
      date,
      description,
      by,
      checked,
      sheets: [{ sheet, code }],
    })),
  );
  return [...shared.filter((each) => each.sheets.length > 0), ...alone];
}
