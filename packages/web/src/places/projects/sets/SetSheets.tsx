import { useMemo } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import IconButton from '@mui/material/IconButton';
import ArrowDownwardIcon from '@mui/icons-material/ArrowDownward';
import ArrowUpwardIcon from '@mui/icons-material/ArrowUpward';
import { DataGrid } from '@mui/x-data-grid';
import type { GridColDef } from '@mui/x-data-grid';
import type { Sheet } from '@mendrel/contract';
import { useSheetKinds } from '../../../app/sheetKinds';
import { ALL_ROWS } from '../../../app/gridLook';
import { inRegisterOrder, moved, rechosen, setRows } from './setOrder';
import type { SetRow } from './setOrder';

interface Props {
  name: string;
  sheets: readonly Sheet[];
  chosen: readonly string[];
  onChange: (chosen: string[]) => void;
}

/** Which sheets a set has, and in which order. */
export function SetSheets({ name, sheets, chosen, onChange }: Props) {
  const rows = useMemo(() => setRows(sheets, chosen), [sheets, chosen]);
  const columns = useMemo(() => columnsFor(chosen, onChange), [chosen, onChange]);
  const kinds = useSheetKinds().flatMap(({ name: kind }) => {
    const ids = sheets.filter((sheet) => sheet.kind === kind).map(({ id }) => id);
    return ids.length > 0 ? [{ kind, ids }] : [];
  });
  const add = (ids: readonly string[]): void => onChange(rechosen(sheets, chosen, new Set([...chosen, ...ids])));
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 2, flex: 1, minHeight: 260 }}>
      <Box
        sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}
        role="group"
        aria-label="Add sheets"
      >
        <Chip
          size="small"
          variant="outlined"
          label={`All (${sheets.length})`}
          onClick={() => add(sheets.map(({ id }) => id))}
        />
        {kinds.map(({ kind, ids }) => (
          <Chip
            key={kind}
            size="small"
            variant="outlined"
            label={`Each ${kind} (${ids.length})`}
            onClick={() => add(ids)}
          />
        ))}
        <Chip size="small" variant="outlined" label="None" onClick={() => onChange([])} />
        <Box sx={{ flex: 1 }} />
        <Button size="small" onClick={() => onChange(inRegisterOrder(sheets, chosen))} disabled={chosen.length < 2}>
          Order as in the register
        </Button>
      </Box>
      <Box sx={{ flex: 1, minHeight: 220 }}>
        <DataGrid
          aria-label={`Sheets of ${name}`}
          rows={rows}
          columns={columns}
          rowHeight={36}
          columnHeaderHeight={36}
          {...ALL_ROWS}
          disableColumnMenu
          disableColumnSorting
          disableRowSelectionOnClick
          checkboxSelection
          rowSelectionModel={{ type: 'include', ids: new Set(chosen) }}
          onRowSelectionModelChange={({ type, ids }) =>
            onChange(
              rechosen(
                sheets,
                chosen,
                new Set(sheets.flatMap(({ id }) => (ids.has(id) === (type === 'include') ? [id] : []))),
              ),
            )
          }
        />
      </Box>
    </Box>
  );
}

const columnsFor = (chosen: readonly string[], onChange: Props['onChange']): GridColDef<SetRow>[] => [
  { field: 'place', headerName: 'Place', width: 64, align: 'right', headerAlign: 'right' },
  {
    field: 'number',
    headerName: 'Number',
    width: 110,
    valueGetter: (_value, { sheet }) => sheet.number,
    renderCell: ({ row }) => <b style={{ fontWeight: 600 }}>{row.sheet.number}</b>,
  },
  { field: 'title', headerName: 'Title', flex: 1, minWidth: 160, valueGetter: (_value, { sheet }) => sheet.title },
  { field: 'kind', headerName: 'Kind', width: 100, valueGetter: (_value, { sheet }) => sheet.kind },
  { field: 'size', headerName: 'Size', width: 90, valueGetter: (_value, { sheet }) => sheet.size },
  {
    field: 'move',
    headerName: 'Move',
    width: 84,
    renderCell: ({ row: { id, place, sheet } }) =>
      place === undefined ? null : (
        <>
          <IconButton
            size="small"
            aria-label={`Move ${sheet.number} up`}
            disabled={place === 1}
            onClick={() => onChange(moved(chosen, id, -1))}
          >
            <ArrowUpwardIcon fontSize="small" />
          </IconButton>
          <IconButton
            size="small"
            aria-label={`Move ${sheet.number} down`}
            disabled={place === chosen.length}
            onClick={() => onChange(moved(chosen, id, 1))}
          >
            <ArrowDownwardIcon fontSize="small" />
          </IconButton>
        </>
      ),
  },
];
