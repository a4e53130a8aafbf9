import Box from '@mui/material/Box';
import ExpandMoreIcon from '@mui/icons-material/ExpandMore';
import ChevronRightIcon from '@mui/icons-material/ChevronRight';
import type { GridColDef } from '@mui/x-data-grid';
import { counted } from '@mendrel/core';
import type { GroupLine, Line } from './groupedRows';
import { isGroup } from './groupedRows';
import type { Row } from './rows';

/**
 * Columns of a table in which lines of groups stand among the rows: such a line goes over all columns and holds nothing but itself.
 * @param of what is grouped by, as its column is called
 */
export const groupedColumns = (columns: readonly GridColDef<Row>[], of: string): GridColDef<Line, unknown>[] =>
  columns.map((column, i): GridColDef<Line, unknown> => {
    const { valueGetter, valueFormatter, renderCell, ...rest } = column as GridColDef<Line, unknown>;
    return {
      ...rest,
      // The order is that of the groups.
      sortable: false,
      colSpan: (_value, line) => (isGroup(line) ? columns.length : undefined),
      valueGetter: (value, line, ...more) =>
        isGroup(line) ? null : valueGetter ? valueGetter(value, line, ...more) : value,
      ...(valueFormatter
        ? {
            valueFormatter: (value, line, ...more) => (isGroup(line) ? '' : valueFormatter(value, line, ...more)),
          }
        : {}),
      ...(renderCell || i === 0
        ? {
            renderCell: (params) => {
              if (isGroup(params.row)) return i === 0 ? <GroupName line={params.row} of={of} /> : null;
              return renderCell ? renderCell(params) : (params.formattedValue as React.ReactNode);
            },
          }
        : {}),
    };
  });

function GroupName({ line: { group }, of }: { line: GroupLine; of: string }) {
  const { words, members, open } = group;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, height: '100%', fontWeight: 600 }}>
      {open ? (
        <ExpandMoreIcon fontSize="small" titleAccess="open" />
      ) : (
        <ChevronRightIcon fontSize="small" titleAccess="closed" />
      )}
      {words === '' ? `without ${of}` : words}
      <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary' }}>
        {counted(members.length, 'sheet')}
      </Box>
    </Box>
  );
}
