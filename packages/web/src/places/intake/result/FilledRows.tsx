import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { IntakeReport } from '@mendrel/core';
import { PlainTable } from '../../../app/PlainTable';
import { Section } from './Section';

/** What stood in the rows of old tables: data of one sheet, which the design has columns for. */
export function FilledRows({ report: { tables, filledRows } }: { report: IntakeReport }) {
  const filled = tables.flatMap(({ kind, columns }, i) => {
    const rows = filledRows.flatMap(({ table, texts }) => (table === i ? [texts] : []));
    return rows.length > 0 ? [{ kind, columns, rows }] : [];
  });
  if (filled.length === 0) return null;
  return (
    <Section title="Rows of the old tables">
      <Box sx={{ display: 'flex', flexDirection: 'column', gap: 3 }}>
        {filled.map(({ kind, columns, rows }, i) => (
          <PlainTable key={i} caption={`Table of ${kind}`} headings={columns} tight>
            {rows.map((row, k) => (
              <tr key={k}>
                {row.map((words, column) => (
                  <td key={column}>{words}</td>
                ))}
              </tr>
            ))}
          </PlainTable>
        ))}
        <Typography sx={{ color: 'text.secondary', fontSize: '0.8125rem' }}>
          They are the data of this sheet: the design keeps the table and leaves its rows empty.
        </Typography>
      </Box>
    </Section>
  );
}
