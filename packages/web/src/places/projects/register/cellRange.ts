import { textIn } from './findReplace';
import type { Replaced } from './findReplace';
import type { Row } from './rows';

/** A cell of the register. */
export interface CellAt {
  id: string;
  field: string;
}

/** Cells between two corners, both of them in it. */
export interface CellRange {
  from: CellAt;
  to: CellAt;
}

/** Rows and fields of a range as they stand on screen. */
export interface RangeCells {
  rows: Row[];
  fields: string[];
}

/** What lies in a range. @param fields columns as they stand on screen */
export function cellsIn({ from, to }: CellRange, rows: readonly Row[], fields: readonly string[]): RangeCells {
  const between = (a: number, b: number): [number, number] => [Math.min(a, b), Math.max(a, b) + 1];
  const [top, bottom] = between(
    rows.findIndex(({ id }) => id === from.id),
    rows.findIndex(({ id }) => id === to.id),
  );
  const [left, right] = between(fields.indexOf(from.field), fields.indexOf(to.field));
  if (top < 0 || left < 0) return { rows: [], fields: [] };
  return { rows: rows.slice(top, bottom), fields: fields.slice(left, right) };
}

/** The cell beside another, where there is one. */
export function beside(
  { id, field }: CellAt,
  [down, across]: readonly [number, number],
  rows: readonly { id: string }[],
  fields: readonly string[],
): CellAt {
  const within = (at: number, count: number): number => Math.max(0, Math.min(count - 1, at));
  const row = rows[within(rows.findIndex((each) => each.id === id) + down, rows.length)];
  return { id: row?.id ?? id, field: fields[within(fields.indexOf(field) + across, fields.length)] ?? field };
}

/** A cell as a spreadsheet takes it: tabs, line ends and quotes inside of it are kept by quotes around it. */
const quoted = (text: string): string => (/[\t\r\n"]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text);

/** Cells as a piece of a spreadsheet: tabs between columns, a line for each row. */
export const asPiece = ({ rows, fields }: RangeCells): string =>
  rows.map((row) => fields.map((field) => quoted(textIn(row, field))).join('\t')).join('\n');

type Filled = Omit<Replaced, 'before'>;

/** All cells of a range with the same words; columns that are not typed stay as they are. */
export const filledWith = ({ rows, fields }: RangeCells, typed: ReadonlySet<string>, words: string): Filled[] =>
  rows.flatMap((row) => fields.filter((field) => typed.has(field)).map((field) => ({ row, field, after: words })));

/** Cells of a range with what stands in its first row. */
export const filledDown = ({ rows: [first, ...rest], fields }: RangeCells, typed: ReadonlySet<string>): Filled[] =>
  first
    ? rest.flatMap((row) =>
        fields.filter((field) => typed.has(field)).map((field) => ({ row, field, after: textIn(first, field) })),
      )
    : [];

/** The last run of figures in a text, and what stands around it. */
const COUNTED = /^(.*?)(\d+)(\D*)$/s;

/** Cells of a range that count on from its first row, or by the step between its first two rows where both end in figures. */
export function filledAsSeries({ rows, fields }: RangeCells, typed: ReadonlySet<string>): Filled[] {
  const [first, second] = rows;
  if (!first) return [];
  return fields
    .filter((field) => typed.has(field))
    .flatMap((field) => {
      const start = COUNTED.exec(textIn(first, field));
      if (!start) return filledDown({ rows, fields: [field] }, typed);
      const [, before = '', figures = '', after = ''] = start;
      const next = second ? COUNTED.exec(textIn(second, field)) : null;
      const alike = next !== null && next[1] === before && next[3] === after;
      const step =
        alike && rows.length > 2 && Number(next[2]) !== Number(figures) ? Number(next[2]) - Number(figures) : 1;
      return rows.slice(1).map((row, i) => {
        const figure = Math.max(0, Number(figures) + (i + 1) * step);
        return { row, field, after: `${before}${String(figure).padStart(figures.length, '0')}${after}` };
      });
    });
}
