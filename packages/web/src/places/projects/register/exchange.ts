import type { NewSheet, Sheet } from '@mendrel/contract';
import type { SheetKind } from '@mendrel/core';
import { kindOfSheet } from '@mendrel/core';
import { newUuid } from '../../../app/newUuid';
import { textIn } from './findReplace';
import type { OwnKey, Row } from './rows';
import { changeOf } from './rows';
import type { SheetEdit } from '../edits/sheetEdits';

/** A column of the register as it goes out and comes in. */
export interface ExchangeColumn {
  field: string;
  name: string;
  /** Whether it is typed; what is computed goes out and is left alone when it comes in. */
  typed: boolean;
  /** The key of its value on a new sheet; none for what a sheet keeps in fields of its own. */
  key?: string;
}

/** The register as a table: headings, then a row for each sheet. */
export const tableOf = (
  rows: readonly Row[],
  columns: readonly ExchangeColumn[],
): { headings: string[]; cells: string[][] } => ({
  headings: columns.map(({ name }) => name),
  cells: rows.map((row) => columns.map(({ field }) => textIn(row, field))),
});

/** A cell that a table would change. */
export interface TableDifference {
  number: string;
  column: string;
  before: string;
  after: string;
}

/** What a table would do to a register. */
export interface TableDifferences {
  differences: TableDifference[];
  edits: SheetEdit[];
  added: NewSheet[];
  /** Headings that no column has, and those of columns that are computed. */
  unknown: string[];
  computed: string[];
  /** Sheets of the register that the table does not name; they stay. */
  missing: string[];
  /** Why rows were left out. */
  problems: string[];
}

const plain = (text: string): string => text.trim().toLowerCase();

/** Problems that are told one by one. */
const MOST_PROBLEMS = 50;

/** The column whose heading names the sheets. */
const NUMBER = 'number';

/** What new sheets may be. */
export interface NewSheets {
  kinds: readonly SheetKind[];
  /** The size of one of a kind that names none. */
  sizeFor: (kind: Sheet['kind']) => string;
}

/**
 * Compares a table with a register, row by row by the number of the sheet.
 * @param table the headings, then a row for each sheet
 * @returns what it would do, or why it is no list of sheets
 */
export function differencesOf(
  table: readonly (readonly string[])[],
  rows: readonly Row[],
  columns: readonly ExchangeColumn[],
  own: readonly OwnKey[],
  { kinds, sizeFor }: NewSheets,
): TableDifferences | string {
  const [headings = [], ...lines] = table;
  const known = new Map(
    columns.flatMap((column) => [
      [plain(column.name), column],
      [plain(column.field), column],
    ]),
  );
  const of = headings.map((heading) => known.get(plain(heading)));
  const numbered = of.findIndex((column) => column?.field === NUMBER);
  if (numbered < 0) return 'no column is called Number; the first row holds the headings of the columns';
  const twice = of.find((column, i) => column && of.indexOf(column) !== i);
  if (twice) return `two columns are called ${twice.name}`;
  const found: TableDifferences = {
    differences: [],
    edits: [],
    added: [],
    unknown: headings.filter((heading, i) => heading.trim() !== '' && !of[i]),
    computed: of.flatMap((column) => (column && !column.typed ? [column.name] : [])),
    missing: [],
    problems: [],
  };
  const say = (problem: string): void => {
    if (found.problems.length < MOST_PROBLEMS) found.problems.push(problem);
  };
  const byNumber = new Map(rows.map((row) => [row.number, row]));
  const seen = new Set<string>();
  lines.forEach((line, i) => {
    const number = (line[numbered] ?? '').trim();
    // Headings are the first line.
    const place = `line ${i + 2}`;
    if (number === '') return say(`${place} has no number`);
    if (seen.has(number)) return say(`${place}: ${number} is there twice`);
    seen.add(number);
    const typed = of.flatMap((column, k) => (column?.typed ? [[column, (line[k] ?? '').trim()] as const] : []));
    const before = byNumber.get(number);
    if (!before) return void found.added.push(newSheet(number, typed, { kinds, sizeFor }));
    const changed = typed.filter(([{ field }, text]) => textIn(before, field).trim() !== text);
    if (changed.length === 0) return;
    const change = changeOf(
      before,
      { ...before, ...Object.fromEntries(changed.map(([{ field }, text]) => [field, text])) },
      own,
    );
    if (!change) return;
    found.edits.push({ sheet: before.sheet, change });
    for (const [{ field, name }, after] of changed)
      found.differences.push({ number, column: name, before: textIn(before, field), after });
  });
  found.missing = rows.filter((row) => !seen.has(row.number)).map((row) => row.number);
  return found;
}

function newSheet(
  number: string,
  typed: readonly (readonly [ExchangeColumn, string])[],
  { kinds, sizeFor }: NewSheets,
): NewSheet {
  const of = (field: string): string => typed.find(([column]) => column.field === field)?.[1] ?? '';
  const title = of('title');
  const kind =
    kinds.find(({ name }) => name.toLowerCase() === of('kind').toLowerCase())?.name ??
    kindOfSheet(title, Number(/\d/.exec(number)?.[0]), kinds) ??
    'plan';
  const values = typed.flatMap(([{ key }, text]) => (key !== undefined && text !== '' ? [[key, text] as const] : []));
  return {
    id: newUuid(),
    number,
    title,
    kind,
    design: null,
    size: of('size') || sizeFor(kind),
    values: Object.fromEntries(values),
    views: [],
  };
}
