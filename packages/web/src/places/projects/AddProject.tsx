import { useState } from 'react';
import { useNavigate } from 'react-router';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { TakenAlong } from '@mendrel/contract';
import { TAKEN_ALONG } from '@mendrel/contract';
import { api, errorOf } from '../../app/api';

interface Props {
  /** The project that the new one is begun from, where it was chosen already. */
  from?: string | undefined;
  onClose: () => void;
}

/** The choice of no other project. */
const NONE = 'none';

const TAKEN_WORDS: Readonly<Record<TakenAlong, string>> = {
  data: 'What is entered for it and on its sheets',
  sheets: 'Its list of sheets',
  views: 'The views on them',
  sets: 'Its sets',
};
/** What is taken along only together with the sheets. */
const OF_SHEETS: ReadonlySet<TakenAlong> = new Set(['views', 'sets']);

/** A new project: with a design, or begun from another project. */
export function AddProject({ from, onClose }: Props) {
  const projects = api.useProjectsQuery().data ?? [];
  const designs = api.useDesignsQuery();
  const office = api.useOfficeQuery();
  const [create, creating] = api.useCreateProjectMutation();
  const [changeOffice] = api.useChangeOfficeMutation();
  const [name, setName] = useState('');
  const [designId, setDesignId] = useState('');
  const [begun, setBegun] = useState<string | undefined>(from);
  const [take, setTake] = useState<ReadonlySet<TakenAlong>>(new Set(from === undefined ? ['sheets'] : TAKEN_ALONG));
  const [always, setAlways] = useState<boolean>();
  const [problem, setProblem] = useState<string>();
  const navigate = useNavigate();
  const template = projects.find(({ id }) => id === office.data?.templateId)?.id;
  const source = begun ?? template ?? NONE;
  const chosen = designId || designs.data?.[0]?.id || '';
  const taken = TAKEN_ALONG.filter((each) => take.has(each) && (take.has('sheets') || !OF_SHEETS.has(each)));
  const keeps = always ?? (source !== NONE && source === template);
  const add = async (): Promise<void> => {
    const result = await create({
      name: name.trim(),
      ...(source === NONE
        ? { designId: chosen || null }
        : { designId: null, from: { projectId: source, take: taken } }),
    });
    if (!result.data) {
      setProblem(errorOf(result.error).message);
      return;
    }
    const templateId = keeps && source !== NONE ? source : source === template || source === NONE ? null : undefined;
    if (office.data && templateId !== undefined && templateId !== office.data.templateId && always !== undefined)
      await changeOffice({ values: office.data.values, version: office.data.version, templateId });
    void navigate(`/projects/${result.data.id}/register`);
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
          {projects.length > 0 ? (
            <TextField
              select
              label="Begin from"
              value={source}
              onChange={(event) => setBegun(event.target.value)}
              helperText={source === NONE ? ' ' : 'Takes along its designs, its numbering and its file names.'}
            >
              <MenuItem value={NONE}>A design alone</MenuItem>
              {projects.map((project) => (
                <MenuItem key={project.id} value={project.id}>
                  {project.name}
                </MenuItem>
              ))}
            </TextField>
          ) : null}
          {source === NONE ? (
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
          ) : (
            <Box role="group" aria-label="Taken along" sx={{ display: 'flex', flexDirection: 'column' }}>
              {TAKEN_ALONG.map((each) => (
                <FormControlLabel
                  key={each}
                  control={
                    <Checkbox
                      size="small"
                      checked={taken.includes(each)}
                      disabled={OF_SHEETS.has(each) && !take.has('sheets')}
                      onChange={(_event, on) =>
                        setTake(new Set(on ? [...take, each] : [...take].filter((other) => other !== each)))
                      }
                    />
                  }
                  label={TAKEN_WORDS[each]}
                />
              ))}
              <FormControlLabel
                control={<Checkbox size="small" checked={keeps} onChange={(_event, on) => setAlways(on)} />}
                label="New projects of this office begin from it"
                sx={{ mt: 2 }}
              />
            </Box>
          )}
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
