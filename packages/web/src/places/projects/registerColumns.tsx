import { Suspense, useDeferredValue } from 'react';
import Box from '@mui/material/Box';
import IconButton from '@mui/material/IconButton';
import ChangeHistoryIcon from '@mui/icons-material/ChangeHistory';
import DeleteOutlineIcon from '@mui/icons-material/DeleteOutlined';
import EditNoteIcon from '@mui/icons-material/EditNote';
import type { GridColDef } from '@mui/x-data-grid';

import type { Sheet } from '@mendrel/contract';
import type { OwnParameter, Values } from '@mendrel/core';
import { choicesOf, isWords, PARAMETERS, readOutlineValue, SHEET_KINDS, toMend } from '@mendrel/core';
import { editLines } from './LinesEditCell';
import { SheetState } from './SheetState';
import { SheetPicture } from '../../paper/SheetPicture';
import type { OwnKey, Row } from './rows';
import type { ProjectSheet, SheetResult } from './sheetDrawings';
import { isDrawn, useDrawn } from './sheetDrawings';

export type OwnColumn = Pick<OwnParameter, 'name' | 'hint' | 'kind' | 'choices'> & { key: OwnKey };

/** The office's own parameters that are typed for each sheet; pictures are chosen in its form. */
export const ownOf = (parameters: readonly OwnParameter[]): OwnColumn[] =>
  parameters.filter((each): each is OwnParameter & { key: OwnKey } => each.key.startsWith('sheet.') && isWords(each));

/** The column for the part of the key plan, where the project has an outline with parts. */
export function partColumns(values: Values): OwnColumn[] {
  const parts = Object.values(values).flatMap((value) => readOutlineValue(value)?.parts ?? []);
  const parameter = PARAMETERS.find(({ key }) => key === 'sheet.keyPlanPart');
  if (parts.length === 0 || !parameter) return [];
  const hint = `${parts.map(({ name }) => name).join(', ')}, or several with commas`;
  return [{ ...parameter, key: 'sheet.keyPlanPart', name: 'Part', hint }];
}

/** What the buttons of a row ask for. */
export interface RowActions {
  onOpen: (row: Row) => void;
  onDelete: (row: Row) => void;
}

/** The revision that a sheet has, with a mark where the sheet has changed since. */
function RevisionCell({ code, changed }: { code: string; changed: boolean }) {
  if (code === '') return '—';
  if (!changed) return code;
  const words = `changed since ${code}`;
  return (
    <Box title={words} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
      {code}
      <ChangeHistoryIcon titleAccess={words} sx={{ fontSize: 15, color: 'warning.main' }} />
    </Box>
  );
}

/** A column for an own parameter, with its choices where it has some. */
function ownColumn(parameter: OwnColumn): GridColDef<Row> {
  const { key, name, hint } = parameter;
  const base = { field: key, headerName: name, width: 92, editable: true, ...(hint ? { description: hint } : {}) };
  const options = choicesOf(parameter);
  if (options) return { ...base, type: 'singleSelect', valueOptions: ['', ...options] };
  return parameter.kind === 'text' || parameter.kind === 'long text' ? { ...base, renderEditCell: editLines } : base;
}

/** The register's columns. What is wrong stands beside the title, so that it is seen however many columns follow. */
export function columnsFor(
  sizesOf: (kind: Sheet['kind']) => readonly string[],
  own: readonly OwnColumn[],
  actions: RowActions,
): GridColDef<Row>[] {
  return [
    {
      field: 'picture',
      headerName: 'Sheet',
      width: 66,
      sortable: false,
      renderCell: ({ row }) => <Drawn of={row.drawn}>{picture}</Drawn>,
    },
    {
      field: 'number',
      headerName: 'Number',
      width: 80,
      editable: true,
      cellClassName: 'number',
      renderCell: ({ row }) => <b style={{ fontWeight: 600 }}>{row.number}</b>,
    },
    { field: 'title', headerName: 'Title', flex: 1.2, minWidth: 164, editable: true, renderEditCell: editLines },
    {
      field: 'findings',
      headerName: 'Findings',
      flex: 1,
      minWidth: 130,
      sortable: false,
      renderCell: ({ row }) => <Drawn of={row.drawn}>{state}</Drawn>,
    },
    {
      field: 'kind',
      headerName: 'Kind',
      width: 88,
      editable: true,
      type: 'singleSelect',
      valueOptions: [...SHEET_KINDS],
    },
    {
      field: 'size',
      headerName: 'Size',
      width: 74,
      editable: true,
      type: 'singleSelect',
      valueOptions: ({ row }) => (row ? [...new Set([...sizesOf(row.kind), row.size])] : []),
    },
    { field: 'scale', headerName: 'Scale', width: 76, valueFormatter: (value: string) => value || '—' },
    {
      field: 'revision',
      headerName: 'Rev',
      width: 66,
      renderCell: ({ row }) => <RevisionCell code={row.revision} changed={row.changedSince} />,
    },
    { field: 'drawnBy', headerName: 'Drawn', width: 68, editable: true },
    { field: 'checkedBy', headerName: 'Checked', width: 78, editable: true },
    { field: 'date', headerName: 'Date', width: 104, editable: true },
    ...own.map(ownColumn),
    {
      field: 'actions',
      headerName: 'Edit',
      width: 82,
      sortable: false,
      renderCell: ({ row }) => (
        <>
          <IconButton size="small" aria-label={`All data of ${row.number}`} onClick={() => actions.onOpen(row)}>
            <EditNoteIcon fontSize="small" />
          </IconButton>
          <IconButton size="small" aria-label={`Delete ${row.number}`} onClick={() => actions.onDelete(row)}>
            <DeleteOutlineIcon fontSize="small" />
          </IconButton>
        </>
      ),
    },
  ];
}

/**
 * Shows what is drawn of a sheet once the table stands: typing and scrolling do not wait for pictures. The grid builds the cells
 * that are seen, so no other sheets are drawn.
 */
function Drawn({ of, children }: { of: ProjectSheet | undefined; children: (result: SheetResult) => React.ReactNode }) {
  const now = useDeferredValue(true, of !== undefined && isDrawn(of));
  return of && now ? (
    <Suspense fallback={null}>
      <Draw sheet={of}>{children}</Draw>
    </Suspense>
  ) : null;
}

function Draw({ sheet, children }: { sheet: ProjectSheet; children: (result: SheetResult) => React.ReactNode }) {
  return children(useDrawn(sheet));
}

const picture = (result: SheetResult): React.ReactNode =>
  'problem' in result ? null : (
    <Box sx={{ height: '100%', display: 'flex', alignItems: 'center' }}>
      <SheetPicture
        drawing={result.drawing}
        width={50}
        height={36}
        label={`Picture of ${result.sheet.number}`}
        least={0.5}
      />
    </Box>
  );

const state = (result: SheetResult): React.ReactNode => <SheetState findings={toMend(result)} />;
