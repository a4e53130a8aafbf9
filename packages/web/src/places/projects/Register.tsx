import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { DataGrid } from '@mui/x-data-grid';
import type { GridColDef } from '@mui/x-data-grid';
import { useSnackbar } from 'notistack';
import { SHEET_KINDS } from '@mendrel/contract';
import type { Project, Sheet } from '@mendrel/contract';
import type { Finding, OfficeStandard, OwnParameter } from '@mendrel/core';
import { counted, inWords, worstFinding } from '@mendrel/core';
import { api, errorOf } from '../../app/api';
import { useCommands } from '../../app/commands';
import { FindingMark } from '../../app/FindingMark';
import { Empty } from '../../app/states';
import { SheetPicture } from '../../paper/SheetPicture';
import { AddSheet } from './AddSheet';
import { changeOf, rowOf } from './rows';
import type { OwnKey, Row } from './rows';
import { toMend } from './sheetDrawings';
import type { SheetResult } from './sheetDrawings';

interface Props {
  project: Project;
  sheets: readonly Sheet[];
  drawn: readonly SheetResult[];
  /** Sizes that the project's design serves. */
  sizes: readonly string[];
  standard: OfficeStandard;
}

/** The table of a project's sheets: edit in place, add sheets, see what does not fit. */
export function Register({ project, sheets, drawn, sizes, standard }: Props) {
  const [change] = api.useChangeSheetMutation();
  const [adding, setAdding] = useState(false);
  const { enqueueSnackbar, closeSnackbar } = useSnackbar();
  useCommands([{ name: 'Add a sheet', keys: 'N', run: () => setAdding(true) }]);
  const { parameters } = standard;
  const own = useMemo(() => ownOf(parameters), [parameters]);
  const keys = useMemo(() => own.map((each) => each.key), [own]);
  const rows = useMemo(() => sheets.map((sheet, i) => rowOf(sheet, drawn[i], keys)), [sheets, drawn, keys]);
  const columns = useMemo(() => columnsFor(sizes, own), [sizes, own]);

  /** Puts a sheet back to what it was, from the version that the change left behind. */
  const undo = async (sheet: Sheet, changed: Sheet): Promise<void> => {
    const { number, title, kind, size, values } = sheet;
    const result = await change({
      id: sheet.id,
      projectId: project.id,
      number,
      title,
      kind,
      size,
      values,
      version: changed.version,
    });
    if (result.error) enqueueSnackbar(`Not undone: ${errorOf(result.error).message}`, { variant: 'error' });
  };
  const keep = async (after: Row, before: Row): Promise<Row> => {
    const what = changeOf(before, after, keys);
    if (!what) return before;
    const result = await change({ id: after.id, projectId: project.id, version: before.sheet.version, ...what });
    if (!result.data) throw new Error(errorOf(result.error).message);
    const changed = result.data;
    const key = enqueueSnackbar(`${changed.number} changed`, {
      action: (
        <Button
          size="small"
          color="inherit"
          onClick={() => {
            closeSnackbar(key);
            void undo(before.sheet, changed);
          }}
        >
          Undo
        </Button>
      ),
    });
    return { ...after, sheet: changed };
  };

  return (
    <Box sx={{ flex: 1, minHeight: 0, p: 4, display: 'flex', flexDirection: 'column', gap: 3 }}>
      <Box sx={{ display: 'flex', alignItems: 'center' }}>
        <Box sx={{ flex: 1, color: 'text.secondary' }}>{summary(drawn, sheets.length)}</Box>
        <Button variant="contained" onClick={() => setAdding(true)}>
          Add a sheet
        </Button>
      </Box>
      {sheets.length === 0 ? (
        <Empty title="No sheets yet">Add the first one; its number is proposed from its kind.</Empty>
      ) : (
        <Box sx={{ flex: 1, minHeight: 0 }}>
          <DataGrid
            aria-label={`Register of ${project.name}`}
            rows={rows}
            columns={columns}
            rowHeight={46}
            columnHeaderHeight={38}
            hideFooter
            disableColumnMenu
            editMode="cell"
            disableRowSelectionOnClick
            processRowUpdate={keep}
            onProcessRowUpdateError={(error: Error) =>
              enqueueSnackbar(`Not saved: ${error.message}`, { variant: 'error' })
            }
            sx={{
              bgcolor: 'background.paper',
              '--DataGrid-t-header-background-base': 'var(--mui-palette-office-soft)',
              '& .MuiDataGrid-columnHeaderTitle': { fontWeight: 600, color: 'text.secondary' },
              '& .MuiDataGrid-cell': { fontSize: '0.8125rem' },
              fontVariantNumeric: 'tabular-nums',
            }}
          />
        </Box>
      )}
      {adding ? <AddSheet project={project} sizes={sizes} onClose={() => setAdding(false)} /> : null}
    </Box>
  );
}

function summary(drawn: readonly SheetResult[], count: number): string {
  const having = (weight: Finding['weight']): number =>
    drawn.filter((each) => toMend(each).some((finding) => finding.weight === weight)).length;
  const [errors, gaps] = [having('error'), having('gap')];
  const parts = [counted(count, 'sheet')];
  if (errors > 0) parts.push(`${errors} with something that spills or conflicts`);
  if (gaps > 0) parts.push(`${gaps} with something missing`);
  return parts.join(', ');
}

type OwnColumn = OwnParameter & { key: OwnKey };

/** The office's own parameters that are entered for each sheet. */
const ownOf = (parameters: readonly OwnParameter[]): OwnColumn[] =>
  parameters.filter((each): each is OwnColumn => each.key.startsWith('sheet.'));

/** A column for an own parameter, with its choices where it has some. */
function ownColumn({ key, name, kind, choices, hint }: OwnColumn): GridColDef<Row> {
  const base = { field: key, headerName: name, width: 110, editable: true, ...(hint ? { description: hint } : {}) };
  const options = kind === 'choice' ? choices : kind === 'yes/no' ? ['yes', 'no'] : undefined;
  return options ? { ...base, type: 'singleSelect', valueOptions: ['', ...options] } : base;
}

function columnsFor(sizes: readonly string[], own: readonly OwnColumn[]): GridColDef<Row>[] {
  return [
    {
      field: 'picture',
      headerName: 'Sheet',
      width: 76,
      sortable: false,
      renderCell: ({ row }) =>
        row.result && !('problem' in row.result) ? (
          <Box sx={{ height: '100%', display: 'flex', alignItems: 'center' }}>
            <SheetPicture
              drawing={row.result.drawing}
              width={54}
              height={36}
              label={`Picture of ${row.number}`}
              least={0.5}
            />
          </Box>
        ) : null,
    },
    {
      field: 'number',
      headerName: 'Number',
      width: 92,
      editable: true,
      cellClassName: 'number',
      renderCell: ({ row }) => <b style={{ fontWeight: 600 }}>{row.number}</b>,
    },
    { field: 'title', headerName: 'Title', flex: 1, minWidth: 200, editable: true },
    {
      field: 'kind',
      headerName: 'Kind',
      width: 104,
      editable: true,
      type: 'singleSelect',
      valueOptions: [...SHEET_KINDS],
    },
    { field: 'size', headerName: 'Size', width: 88, editable: true, type: 'singleSelect', valueOptions: [...sizes] },
    { field: 'scale', headerName: 'Scale', width: 104, valueFormatter: (value: string) => value || '—' },
    { field: 'drawnBy', headerName: 'Drawn', width: 68, editable: true },
    { field: 'checkedBy', headerName: 'Checked', width: 80, editable: true },
    { field: 'date', headerName: 'Date', width: 112, editable: true },
    ...own.map(ownColumn),
    {
      field: 'findings',
      headerName: 'Findings',
      width: 210,
      sortable: false,
      renderCell: ({ row }) => <Findings result={row.result} />,
    },
  ];
}

function Findings({ result }: { result: SheetResult | undefined }) {
  if (!result) return null;
  const findings = toMend(result);
  const worst = worstFinding(findings);
  return worst ? (
    <Box component="span" title={findings.map(inWords).join('\n')} sx={{ whiteSpace: 'nowrap', overflow: 'hidden' }}>
      <FindingMark finding={worst} more={findings.length - 1} />
    </Box>
  ) : (
    <>—</>
  );
}
