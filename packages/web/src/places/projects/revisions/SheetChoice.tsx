import { useMemo } from 'react';
import Box from '@mui/material/Box';
import Chip from '@mui/material/Chip';
import { DataGrid } from '@mui/x-data-grid';
import type { GridColDef } from '@mui/x-data-grid';
import type { Sheet } from '@mendrel/contract';
import { ALL_ROWS } from '../../../app/gridLook';
import { codeFor, lastOf, USUAL_CHOICES } from './chosenSheets';
import type { UsualChoice } from './chosenSheets';

interface Props {
  sheets: readonly Sheet[];
  chosen: ReadonlySet<string>;
  /** One code for all, or null for the next one of each. */
  code: string | null;
  first: string;
  onChange: (chosen: ReadonlySet<string>) => void;
}

const CHOICES = Object.keys(USUAL_CHOICES) as UsualChoice[];

/** Which sheets a revision is for, with what each has and would get. */
export function SheetChoice({ sheets, chosen, code, first, onChange }: Props) {
  const columns = useMemo(
    (): GridColDef<Sheet>[] => [
      { field: 'number', headerName: 'Number', width: 90 },
      { field: 'title', headerName: 'Title', flex: 1, minWidth: 120 },
      {
        field: 'last',
        headerName: 'Now',
        width: 124,
        valueGetter: (_value, sheet) => `${lastOf(sheet)?.code ?? '—'}${sheet.changedSince ? ', changed' : ''}`,
      },
      {
        field: 'next',
        headerName: 'Gets',
        width: 80,
        valueGetter: (_value, sheet) => {
          if (!chosen.has(sheet.id)) return '';
          const gets = codeFor(sheet, code, first);
          return gets.had ? `had ${gets.code}` : gets.code;
        },
      },
    ],
    [chosen, code, first],
  );
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 2, minWidth: 0, minHeight: 0 }}>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }} role="group" aria-label="Choose sheets">
        {CHOICES.map((key) => {
          const { words, has } = USUAL_CHOICES[key];
          const ids = sheets.filter(has).map(({ id }) => id);
          return (
            <Chip
              key={key}
              size="small"
              variant="outlined"
              label={key === 'none' ? words : `${words} (${ids.length})`}
              disabled={key !== 'none' && ids.length === 0}
              onClick={() => onChange(new Set(ids))}
            />
          );
        })}
      </Box>
      <Box sx={{ height: 340 }}>
        <DataGrid
          aria-label="Sheets of the revision"
          rows={sheets}
          columns={columns}
          rowHeight={34}
          columnHeaderHeight={36}
          {...ALL_ROWS}
          disableColumnMenu
          checkboxSelection
          rowSelectionModel={{ type: 'include', ids: new Set(chosen) }}
          onRowSelectionModelChange={({ type, ids }) =>
            onChange(new Set(sheets.flatMap(({ id }) => (ids.has(id) === (type === 'include') ? [id] : []))))
          }
        />
      </Box>
    </Box>
  );
}
