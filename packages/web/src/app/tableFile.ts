import { MOST_SHEETS } from '@mendrel/contract';
import { readCsv, readPasted } from '@mendrel/formats/csv';

/** Larger texts are no list of sheets. */
const MOST_TEXT_BYTES = 20 * 1024 * 1024;

/** A text in the encoding that it is in: UTF-8, UTF-16 by its mark, or that of older spreadsheets. */
export function decoded(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** The rows of a text: a piece of a spreadsheet by tabs, or CSV. */
export const tableFrom = (text: string): string[][] =>
  (text.includes('\t') ? readPasted(text) : readCsv(text)).filter((row) => row.some((cell) => cell.trim() !== ''));

/** Refuses a table that no project could hold, rather than cutting it. */
function bounded(rows: string[][]): string[][] {
  if (rows.length > MOST_SHEETS + 1)
    throw new Error(`the table has more than ${MOST_SHEETS} rows, which no list here has`);
  return rows;
}

/** The rows of a CSV or XLSX file. @throws Error that says why there are none */
export async function readTableFile(file: File): Promise<string[][]> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  // A workbook is an archive, whatever it is called.
  if (bytes[0] === 0x50 && bytes[1] === 0x4b) {
    const { readXlsx } = await import('@mendrel/formats/xlsx');
    return bounded(await readXlsx(bytes));
  }
  if (bytes.length > MOST_TEXT_BYTES) throw new Error('the file is too large for a list');
  return bounded(tableFrom(decoded(bytes)));
}
