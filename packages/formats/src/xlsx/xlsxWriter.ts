import writeXlsxFile from 'write-excel-file/universal';

/** Words that every object knows, which the writer of workbooks takes for its own; a space after them is read by nobody. */
const distinct = (value: string): string => (value in {} ? `${value} ` : value);

/** Width of a column in characters, by the longest word in it. */
const [NARROWEST, WIDEST] = [6, 60];

/**
 * A table as a workbook (Office Open XML, ISO/IEC 29500) with one sheet: a heading row in bold that stays in sight, and cells of plain
 * text, so that no spreadsheet takes a number for a date or computes what looks like a formula.
 */
export async function writeXlsx(
  name: string,
  headings: readonly string[],
  rows: readonly (readonly string[])[],
): Promise<Uint8Array> {
  const text = (value: string, more: object = {}) => ({
    value: distinct(value),
    type: String,
    ...more,
  });
  const widths = headings.map((heading, i) => {
    const longest = Math.max(heading.length, ...rows.map((row) => row[i]?.length ?? 0));
    return { width: Math.min(WIDEST, Math.max(NARROWEST, longest + 2)) };
  });
  const blob = await writeXlsxFile(
    [
      headings.map((heading) => text(heading, { fontWeight: 'bold' })),
      ...rows.map((row) => row.map((cell) => (cell === '' ? null : text(cell)))),
    ],
    { sheet: name.replace(/[\\/?*[\]:]/g, ' ').slice(0, 31) || 'Table', columns: widths, stickyRowsCount: 1 },
  ).toBlob();
  return new Uint8Array(await blob.arrayBuffer());
}
