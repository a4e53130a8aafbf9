import { useDeferredValue, useState } from 'react';
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
import { LONGEST_FIND, PROJECTS_ON_A_PAGE } from '@mendrel/contract';
import { useSnackbar } from 'notistack';
import { GONE_TO_NEXT } from '../../app/ahead';
import type { ProjectsMeant } from '../../app/api';
import { api, errorOf, FIRST_PROJECTS } from '../../app/api';
import { useLoadedAhead } from '../../app/loadedAhead';
import { Pages } from '../../app/Pages';
import { PlainTable } from '../../app/PlainTable';
import { PlaceBar } from '../../app/Shell';
import { Empty, Failed, Loading } from '../../app/states';
import { AddProject } from './AddProject';
import { DeleteProject } from './DeleteProject';
import { FindingMark } from '../../app/FindingMark';

/** The practice's projects. */
export default function ProjectList() {
  /** The project that a new one is begun from; null for whatever is usual. */
  const [adding, setAdding] = useState<string | null>();
  const [shown, setShown] = useState(FIRST_PROJECTS);
  // Typed on while the server looks.
  const asked = useDeferredValue(shown);
  const { data, error, isLoading, isFetching, refetch } = api.useProjectPageQuery(asked);
  useLoadedAhead(data !== undefined, GONE_TO_NEXT);
  const { find, page, archived } = shown;
  const { projects = [], count = 0, all = 0, archived: away = 0 } = data ?? {};
  // The last project of the last page may have gone.
  const lastPage = Math.max(0, Math.ceil(count / PROJECTS_ON_A_PAGE) - 1);
  if (data && !isFetching && asked === shown && page > lastPage) setShown({ ...shown, page: lastPage });
  return (
    <>
      <PlaceBar title="Projects">
        <Box sx={{ flex: 1 }} />
        {all > 0 ? (
          <TextField
            label="Find a project"
            type="search"
            value={find}
            onChange={(event) => setShown({ ...shown, find: event.target.value, page: 0 })}
            slotProps={{ htmlInput: { maxLength: LONGEST_FIND } }}
            sx={{ width: 260 }}
          />
        ) : null}
        <Link component={RouterLink} to="/bin">
          Bin
        </Link>
        {away > 0 || archived ? (
          <Button
            color="inherit"
            aria-pressed={archived}
            onClick={() => setShown({ ...shown, archived: !archived, page: 0 })}
          >
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
        {data && all === 0 ? (
          <Empty title="No projects yet">Add one, choose its design, and its sheets can be filled.</Empty>
        ) : null}
        {all > 0 && count === 0 && !isFetching ? <Typography role="status">{noneMeant(asked)}</Typography> : null}
        {projects.length > 0 ? (
          <PlainTable
            caption="Projects of the practice"
            headings={['Project', 'Number', 'Client', 'Design', 'Sheets', 'Edit']}
            framed
          >
            {projects.map((project) => (
              <ProjectRow key={project.id} project={project} onCopy={() => setAdding(project.id)} />
            ))}
          </PlainTable>
        ) : null}
        <Pages
          of="projects"
          page={page}
          size={PROJECTS_ON_A_PAGE}
          count={count}
          onPage={(next) => setShown({ ...shown, page: next })}
        />
      </Box>
      {adding !== undefined ? <AddProject from={adding ?? undefined} onClose={() => setAdding(undefined)} /> : null}
    </>
  );
}

/** Why none is listed. */
const noneMeant = ({ find, archived }: ProjectsMeant): string => {
  if (find.trim() !== '') return `No name, number or client of a project holds “${find}”.`;
  return archived ? 'No project is put away.' : 'All projects are put away.';
};

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
