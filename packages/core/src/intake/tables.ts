import type { Rect } from '../geometry';
import { around, contains } from '../geometry';
import type { TableKindName } from '../table';
import { parameterOfCaption, tableKind } from './lexicon';
import type { LegacyText } from './legacyText';

/** A table found among the cells: equal rows under or over a row of headings. */
export interface FoundTable extends Rect {
  kind: TableKindName;
  columns: { heading: string; width: number }[];
  rowHeight: number;
  rows: number;
  heading: 'top' | 'bottom';
  headings: LegacyText[];
  /** What stands in the rows that are filled, from the headings on; one text a column. */
  filled: string[][];
  /** Where those rows lie. */
  body: Rect;
  cells: Rect[];
}

const SAME = 0.15;
/** With its heading row; a stack of two rows is nothing but two rows. */
const FEWEST_ROWS = 3;

/** Cells of one row, from the left. */
interface Row {
  y: number;
  height: number;
  cells: Rect[];
}

const sameColumns = (a: Row, b: Row): boolean =>
  a.cells.length === b.cells.length &&
  a.cells.every((cell, i) => {
    const other = b.cells[i];
    return other !== undefined && Math.abs(cell.x - other.x) < SAME && Math.abs(cell.width - other.width) < SAME;
  });

/** Rows of neighbouring cells of one height. */
function rowsOf(cells: readonly Rect[]): Row[] {
  const rows: Row[] = [];
  for (const cell of [...cells].sort((a, b) => a.y - b.y || a.x - b.x)) {
    const row = rows.find((each) => {
      const last = each.cells[each.cells.length - 1];
      return (
        Math.abs(each.y - cell.y) < SAME &&
        Math.abs(each.height - cell.height) < SAME &&
        last !== undefined &&
        Math.abs(last.x + last.width - cell.x) < SAME
      );
    });
    if (row) row.cells.push(cell);
    else rows.push({ y: cell.y, height: cell.height, cells: [cell] });
  }
  return rows;
}

const textsIn = (cell: Rect, texts: readonly LegacyText[]): LegacyText[] =>
  texts.filter((text) => contains(cell, text.anchor));

/**
 * Finds tables among cells: at least three equal rows with the same columns, of which the first or the last holds
 * headings and no other holds captions of single values.
 */
export function findTables(cells: readonly Rect[], texts: readonly LegacyText[]): FoundTable[] {
  const open = rowsOf(cells).filter((row) => row.cells.length >= 2);
  const tables: FoundTable[] = [];
  while (open.length > 0) {
    const first = open.shift();
    if (!first) break;
    const run = [first];
    for (let next: number; ;) {
      const last = run[run.length - 1];
      next = open.findIndex(
        (row) =>
          last !== undefined &&
          Math.abs(last.y + last.height - row.y) < SAME &&
          Math.abs(last.height - row.height) < SAME &&
          sameColumns(last, row),
      );
      const [row] = next < 0 ? [] : open.splice(next, 1);
      if (!row) break;
      run.push(row);
    }
    const table = run.length >= FEWEST_ROWS ? asTable(run, texts) : undefined;
    if (table) tables.push(table);
  }
  return tables;
}

/** The words in a cell, line by line from above. */
const wordsIn = (cell: Rect, texts: readonly LegacyText[]): string =>
  textsIn(cell, texts)
    .sort((a, b) => b.at.y - a.at.y || a.at.x - b.at.x)
    .map((text) => text.text)
    .join(' ');

/** Cells of a heading row that must hold one text each, as a part of all: merged and empty ones are usual. */
const HEADED = 0.6;

/** Reads rows from the bottom up as a table, when one end of them holds headings. */
function asTable(run: readonly Row[], texts: readonly LegacyText[]): FoundTable | undefined {
  for (const heading of ['bottom', 'top'] as const) {
    const head = heading === 'bottom' ? run[0] : run[run.length - 1];
    if (!head) continue;
    const inHead = head.cells.map((cell) => textsIn(cell, texts));
    const headings = inHead.flat();
    const kind = tableKind(headings.map((text) => text.text));
    if (kind === undefined || inHead.filter((found) => found.length === 1).length < head.cells.length * HEADED)
      continue;
    const others = heading === 'bottom' ? run.slice(1) : run.slice(0, -1).reverse();
    const otherCells = others.flatMap((row) => row.cells);
    const captioned = otherCells.some((cell) =>
      textsIn(cell, texts).some((text) => parameterOfCaption(text.text) !== undefined),
    );
    const cells = run.flatMap((row) => row.cells);
    const [bounds, body] = [around(cells), around(otherCells)];
    if (captioned || !bounds || !body) continue;
    return {
      ...bounds,
      kind,
      columns: head.cells.map((cell, i) => ({ heading: inHead[i]?.[0]?.text ?? '', width: cell.width })),
      rowHeight: head.height,
      rows: run.length - 1,
      heading,
      headings,
      filled: others.map((row) => row.cells.map((cell) => wordsIn(cell, texts))).filter((row) => row.some(Boolean)),
      body,
      cells,
    };
  }
  return undefined;
}
