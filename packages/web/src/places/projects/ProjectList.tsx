import { useState } from 'react';
import { Link as RouterLink } from 'react-router';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Link from '@mui/material/Link';
import ArchiveIcon from '@mui/icons-material/ArchiveOutlined';
import ContentCopyIcon from '@mui/icons-material/ContentCopy';
import UnarchiveIcon from '@mui/icons-material/UnarchiveOutlined';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Project } from '@mendrel/contract';
import { useSnackbar } from 'notistack';
import { api, errorOf } from '../../app/api';
import { Pages } from '../../app/Pages';
import { PlainTable } from '../../app/PlainTable';
import { PlaceBar } from '../../app/Shell';
import { Empty, Failed, Loading } from '../../app/states';
import { AddProject } from './AddProject';
import { DeleteProject } from './DeleteProject';
import { FindingMark } from '../../app/FindingMark';

/** Projects listed at a time. */
const PAGE = 50;

/** Whether a project is meant by what somebody types: parts of its name, its number or its client. */
const isMeant = ({ name, values }: Project, typed: string): boolean => {
  const words = [name, values['project.number'], values['project.client']].join(' ').toLowerCase();
  return typed
    .toLowerCase()
    .split(/\s+/)
    .every((part) => words.includes(part));
};

/** The practice's projects. */
export default function ProjectList() {
  const { data, error, isLoading, refetch } = api.useProjectsQuery();
  /** The project that a new one is begun from; null for whatever is usual. */
  const [adding, setAdding] = useState<string | null>();
  const [archived, setArchived] = useState(false);
  const [shown, setShown] = useState({ typed: '', page: 0 });
  const { typed, page } = shown;
  const away = data?.filter((project) => project.archived).length ?? 0;
  const meant = data?.filter((project) => project.archived === (archived && away > 0) && isMeant(project, typed)) ?? [];
  return (
    <>
      <PlaceBar title="Projects">
        <Box sx={{ flex: 1 }} />
        {data && data.length > 0 ? (
          <TextField
            label="Find a project"
            type="search"
            value={typed}
            onChange={(event) => setShown({ typed: event.target.value, page: 0 })}
            sx={{ width: 260 }}
          />
        ) : null}
        <Link component={RouterLink} to="/bin">
          Bin
        </Link>
        {away > 0 ? (
          <Button color="inherit" aria-pressed={archived} onClick={() => setArchived(!archived)}>
            {archived ? 'Show current ones' : `Show put away (${away})`}
          </Button>
        ) : null}
        <Button variant="contained" onClick={() => setAdding(null)}>
          Add a project
        </Button>
      </PlaceBar>
      <Box sx={{ flex: 1, overflow: 'auto', p: 6 }}>
        {isLoading ? <Loading what="the projects" /> : null}
        {error ? <Failed error={error} retry={() => void refetch()} /> : null}
        {data?.length === 0 ? (
          <Empty title="No projects yet">Add one, choose its design, and its sheets can be filled.</Empty>
        ) : null}
        {data && data.length > 0 && meant.length === 0 ? (
          <Typography role="status">No name, number or client of a project holds “{typed}”.</Typography>
        ) : null}
        {meant.length > 0 ? (
          <PlainTable
            caption="Projects of the practice"
            headings={['Project', 'Number', 'Client', 'Design', 'Sheets', 'Edit']}
            framed
          >
            {meant.slice(page * PAGE, (page + 1) * PAGE).map((project) => (
              <ProjectRow key={project.id} project={project} onCopy={() => setAdding(project.id)} />
            ))}
          </PlainTable>
        ) : null}
        <Pages
          of="projects"
          page={page}
          size={PAGE}
          count={meant.length}
          onPage={(next) => setShown({ typed, page: next })}
        />
      </Box>
      {adding !== undefined ? (
        <AddProject projects={data ?? []} from={adding ?? undefined} onClose={() => setAdding(undefined)} />
      ) : null}
    </>
  );
}

function ProjectRow({ project, onCopy }: { project: Project; onCopy: () => void }) {
  const { id, name, values, designName, sheets } = project;
  return (
    <tr>
      <th scope="row">
        <Link component={RouterLink} to={`/projects/${id}/register`} sx={{ fontWeight: 600 }}>
          {name}
        </Link>
      </th>
      <td>{values['project.number']}</td>
      <td>{values['project.client'] ?? 'No client entered yet'}</td>
      <td>{designName ?? <FindingMark finding={{ weight: 'gap', message: 'no design chosen' }} />}</td>
      <td>{sheets}</td>
      <td>
        <Box sx={{ display: 'flex', gap: 1, my: -1.5 }}>
          <IconButton size="small" aria-label={`Copy ${name}`} title="Copy" onClick={onCopy}>
            <ContentCopyIcon fontSize="small" />
          </IconButton>
          <PutAway project={project} />
          <DeleteProject project={project} />
        </Box>
      </td>
    </tr>
  );
}

/** Puts a project away, so that it is neither listed nor looked at, or takes it out again. */
function PutAway({ project }: { project: Project }) {
  const [change, changing] = api.useChangeProjectMutation();
  const { enqueueSnackbar } = useSnackbar();
  const { id, name, version, archived } = project;
  const set = async (): Promise<void> => {
    const result = await change({ id, version, archived: !archived });
    if (result.error) enqueueSnackbar(`Not changed: ${errorOf(result.error).message}`, { variant: 'error' });
    else enqueueSnackbar(archived ? `${name} is listed again` : `${name} is put away; nothing of it is lost`);
  };
  const words = archived ? 'Take out' : 'Put away';
  return (
    <IconButton
      size="small"
      aria-label={`${words} ${name}`}
      title={words}
      disabled={changing.isLoading}
      onClick={() => void set()}
    >
      {archived ? <UnarchiveIcon fontSize="small" /> : <ArchiveIcon fontSize="small" />}
    </IconButton>
  );
}
