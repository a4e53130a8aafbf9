import { useState } from 'react';
import { Link as RouterLink, useNavigate } from 'react-router';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Link from '@mui/material/Link';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Project } from '@mendrel/contract';
import { api, errorOf } from '../../app/api';
import { Pages } from '../../app/Pages';
import { PlainTable } from '../../app/PlainTable';
import { PlaceBar } from '../../app/Shell';
import { Empty, Failed, Loading } from '../../app/states';
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
  const [adding, setAdding] = useState(false);
  const [shown, setShown] = useState({ typed: '', page: 0 });
  const { typed, page } = shown;
  const meant = data?.filter((project) => isMeant(project, typed)) ?? [];
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
        <Button variant="contained" onClick={() => setAdding(true)}>
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
              <ProjectRow key={project.id} project={project} />
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
      {adding ? <AddProject onClose={() => setAdding(false)} /> : null}
    </>
  );
}

function ProjectRow({ project }: { project: Project }) {
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
        <DeleteProject project={project} />
      </td>
    </tr>
  );
}

function AddProject({ onClose }: { onClose: () => void }) {
  const designs = api.useDesignsQuery();
  const [create, creating] = api.useCreateProjectMutation();
  const [name, setName] = useState('');
  const [designId, setDesignId] = useState('');
  const [problem, setProblem] = useState<string>();
  const navigate = useNavigate();
  const chosen = designId || designs.data?.[0]?.id || '';
  const add = async (): Promise<void> => {
    const result = await create({ name: name.trim(), designId: chosen || null });
    if (result.data) void navigate(`/projects/${result.data.id}/register`);
    else setProblem(errorOf(result.error).message);
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="add-project">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
      >
        <DialogTitle id="add-project">Add a project</DialogTitle>
        <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 4, pt: '8px !important' }}>
          <TextField
            label="Name"
            value={name}
            autoFocus
            required
            onChange={(event) => setName(event.target.value)}
            error={problem !== undefined}
            helperText={problem}
          />
          <TextField
            select
            label="Design"
            value={chosen}
            disabled={designs.data?.length === 0}
            helperText={
              designs.data?.length === 0 ? 'No designs yet. The project can be given one later, under Data.' : ''
            }
            onChange={(event) => setDesignId(event.target.value)}
          >
            {(designs.data ?? []).map((design) => (
              <MenuItem key={design.id} value={design.id}>
                {design.name}
              </MenuItem>
            ))}
          </TextField>
        </DialogContent>
        <DialogActions>
          <Button color="inherit" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" variant="contained" disabled={name.trim() === '' || creating.isLoading}>
            Add
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
