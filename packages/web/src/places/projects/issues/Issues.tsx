import { useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { DataGrid } from '@mui/x-data-grid';
import type { GridColDef } from '@mui/x-data-grid';
import type { Issue, Project, Sheet } from '@mendrel/contract';
import { counted, recipientWords } from '@mendrel/core';
import { faultOf } from '../../../app/api';
import { useCommands } from '../../../app/commands';
import type { Downloads } from '../../../app/download';
import { LIST_GRID } from '../../../app/gridLook';
import { issueApi } from '../../../app/issueApi';
import { Empty, Failed, Loading } from '../../../app/states';
import { IssueDetail } from './IssueDetail';
import { MakeIssue } from './MakeIssue';

interface Props {
  project: Project;
  sheets: readonly Sheet[];
  downloads: Downloads;
}

/** What went out of a project, to whom and when: the newest first; or one of these, as its address says. */
export function Issues({ project, sheets, downloads }: Props) {
  const { part } = useParams();
  const navigate = useNavigate();
  const found = issueApi.useProjectIssuesQuery(project.id);
  const [making, setMaking] = useState(false);
  const ready = sheets.length > 0 && project.designId !== null;
  useCommands([{ name: 'Issue a set', keys: 'N', run: () => setMaking(ready) }]);
  const place = `/projects/${project.id}/issues`;
  const columns = useMemo(
    (): GridColDef<Issue>[] => columnsFor((id) => void navigate(`${place}/${id}`)),
    [navigate, place],
  );
  const fault = faultOf(found);
  if (fault) return <Failed error={fault} retry={() => void found.refetch()} />;
  const issues = found.currentData;
  if (!issues) return <Loading what="the issues" />;
  const open = issues.find(({ id }) => id === part);
  if (open) return <IssueDetail key={open.id} issue={open} issues={issues} downloads={downloads} />;
  const button = (
    <Button variant="contained" onClick={() => setMaking(true)} disabled={!ready}>
      Issue a set
    </Button>
  );
  return (
    <>
      {issues.length === 0 ? (
        <Empty title="Nothing issued yet" action={button}>
          {ready
            ? 'An issue takes a set out on a date, for a purpose, to its recipients. Each sheet is kept as it is drawn then, whatever changes later.'
            : 'The project needs a design and sheets first.'}
        </Empty>
      ) : (
        <Box sx={{ flex: 1, minHeight: 0, p: 4, display: 'flex', flexDirection: 'column', gap: 3 }}>
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 3 }}>
            <Box sx={{ flex: 1, color: 'text.secondary' }}>{summary(issues, sheets)}</Box>
            {button}
          </Box>
          <Box sx={{ flex: 1, minHeight: 0 }}>
            <DataGrid
              {...LIST_GRID}
              aria-label={`Issues of ${project.name}`}
              rows={issues}
              columns={columns}
              onRowDoubleClick={({ id }) => void navigate(`${place}/${id}`)}
            />
          </Box>
        </Box>
      )}
      {making ? (
        <MakeIssue
          project={project}
          sheets={sheets}
          last={issues[0]}
          onMade={(issue) => void navigate(`${place}/${issue.id}`)}
          onClose={() => setMaking(false)}
        />
      ) : null}
    </>
  );
}

const columnsFor = (onOpen: (id: string) => void): GridColDef<Issue>[] => [
  {
    field: 'number',
    headerName: 'Issue',
    width: 80,
    renderCell: ({ row }) =>
      row.withdrawn === null ? <b style={{ fontWeight: 600 }}>{row.number}</b> : <s>{row.number}</s>,
  },
  { field: 'date', headerName: 'Date', width: 130 },
  {
    field: 'purpose',
    headerName: 'Purpose',
    flex: 1,
    minWidth: 150,
    valueGetter: (_value, { purpose, withdrawn }) =>
      withdrawn === null ? purpose : `${purpose} (withdrawn: ${withdrawn})`,
  },
  { field: 'set', headerName: 'Set', flex: 0.8, minWidth: 120, valueFormatter: (value: string) => value || '—' },
  {
    field: 'recipients',
    headerName: 'Sent to',
    flex: 1,
    minWidth: 150,
    valueGetter: (_value, { recipients }) => recipientWords(recipients) || '—',
  },
  { field: 'sheets', headerName: 'Sheets', width: 80, type: 'number' },
  {
    field: 'actions',
    headerName: 'Open',
    width: 96,
    align: 'center',
    headerAlign: 'center',
    sortable: false,
    renderCell: ({ row }) => (
      <Button size="small" aria-label={`Open issue ${row.number}`} onClick={() => onOpen(row.id)}>
        Open
      </Button>
    ),
  },
];

function summary(issues: readonly Issue[], sheets: readonly Sheet[]): string {
  const out = sheets.filter((sheet) => sheet.issues.length > 0).length;
  const never = sheets.length - out;
  return [
    counted(issues.length, 'issue'),
    `${counted(out, 'sheet')} issued`,
    ...(never > 0 ? [`${never} never issued`] : []),
  ].join(', ');
}
