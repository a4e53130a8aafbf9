import { parsePattern } from '../parameter';
import type { Row, TableKindName, TableRows } from '../table';
import { patternFor, TABLES } from '../table';
import type { IntakeReport } from './report';

/** The key of a row that a column with a heading shows; undefined where it shows none. */
function keyOf(kind: TableKindName, heading: string): string | undefined {
  const [part] = parsePattern(patternFor(kind, heading));
  return part && 'key' in part ? part.key.replace(/^row\./, '') : undefined;
}

/** Rows as they stood in an old drawing's tables; what stands under a heading that says nothing known has no place in them. */
export function rowsInReport({ tables, filledRows }: Pick<IntakeReport, 'tables' | 'filledRows'>): TableRows {
  const rows: Record<string, Row[]> = {};
  for (const { table, texts } of filledRows) {
    const found = tables[table];
    const kind = TABLES.find((each) => each === found?.kind);
    if (!found || !kind) continue;
    const row: Record<string, string> = {};
    texts.forEach((text, column) => {
      const key = keyOf(kind, found.columns[column] ?? '');
      if (key !== undefined && text !== '') row[key] = text;
    });
    (rows[kind] ??= []).push(row);
  }
  return rows;
}
