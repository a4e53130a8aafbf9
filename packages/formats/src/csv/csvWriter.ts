import Papa from 'papaparse';

/**
 * A table as CSV with a heading row, lines ending in CR LF as RFC 4180 has it. Cells that a spreadsheet would take for a
 * formula are made plain text.
 */
export function writeCsv(headings: readonly string[], rows: readonly (readonly string[])[]): string {
  return Papa.unparse({ fields: [...headings], data: rows.map((row) => [...row]) }, { escapeFormulae: true });
}
