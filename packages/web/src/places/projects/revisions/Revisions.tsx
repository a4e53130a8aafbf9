import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { DataGrid } from '@mui/x-data-grid';
import type { GridColDef } from '@mui/x-data-grid';
import type { Project, Revision, Sheet } from '@mendrel/contract';
import { counted } from '@mendrel/core';
import { api, faultOf } from '../../../app/api';
import { useCommands } from '../../../app/commands';
import { LIST_GRID } from '../../../app/gridLook';
import { Empty, Failed, Loading } from '../../../app/states';
import { ChangeRevision } from './ChangeRevision';
import { codesInWords, lastOf, sheetsWith, USUAL_CHOICES } from './chosenSheets';
import { FirstCode } from './FirstCode';
import { MakeRevision } from './MakeRevision';

interface Props {
  project: Project;
  sheets: readonly Sheet[];
}

interface Row extends Revision {
  codes: string;
  sheets: number;
}

/** What was changed on the sheets of a project, and when: the newest first. */
export function Revisions({ project, sheets }: Props) {
  const found = api.useProjectRevisionsQuery(project.id);
  const [making, setMaking] = useState(false);
  const [opened, setOpened] = useState<string>();
  const revisions = found.currentData;
  const rows = useMemo(
    () =>
      (revisions ?? []).map((revision): Row => {
        const on = sheetsWith(sheets, revision.id);
        return { ...revision, codes: codesInWords(on.map(({ code }) => code)), sheets: on.length };
      }),
    [revisions, sheets],
  );
  useCommands([{ name: 'Make a revision', keys: 'N', run: () => setMaking(true) }]);
  const columns = useMemo((): GridColDef<Row>[] => columnsFor(setOpened), []);
  const fault = faultOf(found);
  if (fault) return <Failed error={fault} retry={() => void found.refetch()} />;
  if (!revisions) return <Loading what="the revisions" />;
  const open = revisions.find(({ id }) => id === opened);
  return (
    <Box sx={{ flex: 1, minHeight: 0, p: 4, display: 'flex', flexDirection: 'column', gap: 3 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 3 }}>
        <Box sx={{ flex: 1, color: 'text.secondary' }}>{summary(sheets)}</Box>
        <FirstCode key={project.firstRevision} project={project} />
        <Button variant="contained" onClick={() => setMaking(true)} disabled={sheets.length === 0}>
          Make a revision
        </Button>
      </Box>
      {rows.length === 0 ? (
        <Empty title="No revisions yet">
          {sheets.length === 0
            ? 'Add sheets in the register first.'
            : 'Make the first one for the sheets that you send out: their fields and tables of revisions show it.'}
        </Empty>
      ) : (
        <Box sx={{ flex: 1, minHeight: 0 }}>
          <DataGrid
            {...LIST_GRID}
            aria-label={`Revisions of ${project.name}`}
            rows={rows}
            columns={columns}
            onRowDoubleClick={({ id }) => setOpened(String(id))}
          />
        </Box>
      )}
      {making ? <MakeRevision project={project} sheets={sheets} onClose={() => setMaking(false)} /> : null}
      {open ? <ChangeRevision revision={open} sheets={sheets} onClose={() => setOpened(undefined)} /> : null}
    </Box>
  );
}

const columnsFor = (onOpen: (id: string) => void): GridColDef<Row>[] => [
  {
    field: 'codes',
    headerName: 'Codes',
    width: 130,
    renderCell: ({ row }) =>
      row.withdrawn === null ? <b style={{ fontWeight: 600 }}>{row.codes}</b> : <s>{row.codes}</s>,
  },
  { field: 'date', headerName: 'Date', width: 130 },
  {
    field: 'description',
    headerName: 'What was changed',
    flex: 1,
    minWidth: 220,
    valueGetter: (_value, { description, withdrawn }) =>
      withdrawn === null ? description : `${description} (withdrawn: ${withdrawn})`,
  },
  { field: 'by', headerName: 'By', width: 80 },
  { field: 'checked', headerName: 'Checked', width: 90 },
  { field: 'sheets', headerName: 'Sheets', width: 80, type: 'number' },
  {
    field: 'actions',
    headerName: 'Edit',
    width: 96,
    align: 'center',
    headerAlign: 'center',
    sortable: false,
    renderCell: ({ row }) => (
      <Button size="small" aria-label={`Open revision ${row.codes}`} onClick={() => onOpen(row.id)}>
        Open
      </Button>
    ),
  },
];

function summary(sheets: readonly Sheet[]): string {
  const parts = [`${counted(sheets.filter((sheet) => lastOf(sheet)).length, 'sheet')} with a revision`];
  const without = sheets.filter(USUAL_CHOICES.without.has).length;
  const changed = sheets.filter(USUAL_CHOICES.changed.has).length;
  if (without > 0) parts.push(`${without} without one`);
  if (changed > 0) parts.push(`${changed} changed since their last`);
  return parts.join(', ');
}
