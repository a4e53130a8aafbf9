import type { SheetEdit } from '../edits/sheetEdits';
import type { OwnKey, Row } from './rows';
import { changeOf } from './rows';

/** What a piece of a spreadsheet changes, and what of it has no place. */
export interface Pasted {
  edits: SheetEdit[];
  /** Rows of the piece below the last sheet. */
  over: number;
}

/**
 * The edits that a piece of a spreadsheet comes to, put in at one cell of the register.
 * @param fields columns that can be edited, in their order
 */
export function pastedEdits(
  piece: readonly (readonly string[])[],
  rows: readonly Row[],
  at: { row: number; field: string },
  fields: readonly string[],
  own: readonly OwnKey[],
): Pasted {
  const from = fields.indexOf(at.field);
  if (from < 0) return { edits: [], over: 0 };
  const edits = piece.flatMap((cells, down): SheetEdit[] => {
    const before = rows[at.row + down];
    if (!before) return [];
    const typed = Object.fromEntries(
      cells.flatMap((cell, across) => {
        const field = fields[from + across];
        return field === undefined ? [] : [[field, cell.trim()]];
      }),
    );
    const change = changeOf(before, { ...before, ...typed }, own);
    return change ? [{ sheet: before.sheet, change }] : [];
  });
  return { edits, over: Math.max(0, at.row + piece.length - rows.length) };
}
