import { unzipSync } from 'fflate';
import { readSheet } from 'read-excel-file/universal';

/** Larger workbooks are not read: a list of thousands of sheets has some hundred kilobytes. */
export const MOST_XLSX_BYTES = 20 * 1024 * 1024;
/** What a workbook may come to when it is unpacked. */
const MOST_UNPACKED = 200 * 1024 * 1024;
const MOST_ROWS = 20_000;

/** A file that is no workbook, or too large a one, in words. */
export class XlsxError extends Error {
  override name = 'XlsxError';
}

/** Looks how much a workbook holds without unpacking it. */
function checkSize(bytes: Uint8Array): void {
  if (bytes.length > MOST_XLSX_BYTES)
    throw new XlsxError(`the workbook has more than ${MOST_XLSX_BYTES / 1024 / 1024} MB`);
  let unpacked = 0;
  try {
    unzipSync(bytes, {
      filter: ({ originalSize }) => {
        unpacked += originalSize;
        return false;
      },
    });
  } catch {
    throw new XlsxError('the file is no XLSX workbook; save the table as XLSX or CSV');
  }
  if (unpacked > MOST_UNPACKED) throw new XlsxError('the workbook is too large when it is unpacked');
}

const twoFigures = (figure: number): string => String(figure).padStart(2, '0');

/** A cell as text; days as year, month and day. */
function textOf(cell: unknown): string {
  if (cell instanceof Date)
    return [cell.getUTCFullYear(), twoFigures(cell.getUTCMonth() + 1), twoFigures(cell.getUTCDate())].join('-');
  return typeof cell === 'string' || typeof cell === 'number' || typeof cell === 'boolean' ? String(cell) : '';
}

/** The rows of the first sheet of a workbook as text. @throws XlsxError */
export async function readXlsx(bytes: Uint8Array): Promise<string[][]> {
  checkSize(bytes);
  let rows: readonly (readonly unknown[])[];
  try {
    rows = await readSheet(new Blob([bytes as Uint8Array<ArrayBuffer>]));
  } catch {
    throw new XlsxError('the workbook could not be read; save the table as CSV');
  }
  if (rows.length > MOST_ROWS) throw new XlsxError(`the table has more than ${MOST_ROWS} rows`);
  return rows.map((row) => row.map(textOf)).filter((row) => row.some((cell) => cell !== ''));
}
