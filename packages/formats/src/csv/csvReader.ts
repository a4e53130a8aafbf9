import Papa from 'papaparse';

/** Longer tables than this are not read: no table of an office is as long. */
const MOST_ROWS = 20_000;

/** A cell as it was before writing made a formula plain text. */
const plain = (cell: string): string => cell.replace(/^'(?=[=+\-@\t\r])/, '');

/**
 * The rows of a table in CSV, the headings first. Commas, semicolons and tabs between cells are told apart by the file
 * itself.
 */
export function readCsv(text: string): string[][] {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy', preview: MOST_ROWS });
  return data.map((row) => row.map(plain));
}

/** The cells of a piece of a spreadsheet as it is pasted: rows by line ends, cells by tabs. */
export function readPasted(text: string): string[][] {
  const { data } = Papa.parse<string[]>(text.replace(/\r?\n$/, ''), { delimiter: '\t', preview: MOST_ROWS });
  return data;
}
