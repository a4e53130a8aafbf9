import type { OwnKey, Row } from './rows';
import { changeOf } from './rows';
import type { SheetEdit } from '../edits/sheetEdits';

/** What is looked for, and what comes in its place. */
export interface Replacement {
  find: string;
  replace: string;
  /** Capitals count. */
  exact: boolean;
  /** Only cells that hold nothing else. */
  whole: boolean;
  /** The column that is looked through; all that hold words when it is null. */
  field: string | null;
}

/** A cell that would be another. */
export interface Replaced {
  row: Row;
  field: string;
  before: string;
  after: string;
}

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** The cells that a replacement changes, in the order of the rows and of the columns. */
export function replacedCells(
  rows: readonly Row[],
  fields: readonly string[],
  { find, replace, exact, whole, field }: Replacement,
): Replaced[] {
  if (find === '') return [];
  const form = new RegExp(whole ? `^${escaped(find)}$` : escaped(find), exact ? 'gu' : 'giu');
  const looked = field === null ? fields : fields.filter((each) => each === field);
  return rows.flatMap((row) =>
    looked.flatMap((each): Replaced[] => {
      const before = textIn(row, each);
      // As it is typed: signs that mean something to a pattern of letters mean nothing here.
      const after = before.replace(form, () => replace);
      return after === before ? [] : [{ row, field: each, before, after }];
    }),
  );
}

/** The words of a cell that is typed. */
export function textIn(row: Row, field: string): string {
  const value = row[field as keyof Row];
  return typeof value === 'string' ? value : '';
}

/** Changed cells as changes of their sheets, each sheet once. */
export function editsOf(cells: readonly Omit<Replaced, 'before'>[], own: readonly OwnKey[]): SheetEdit[] {
  const after = new Map<Row, Row>();
  for (const cell of cells) after.set(cell.row, { ...(after.get(cell.row) ?? cell.row), [cell.field]: cell.after });
  return [...after].flatMap(([before, now]) => {
    const change = changeOf(before, now, own);
    return change ? [{ sheet: before.sheet, change }] : [];
  });
}
