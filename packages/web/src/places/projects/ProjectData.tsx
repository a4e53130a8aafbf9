import { useForm } from 'react-hook-form';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { Project } from '@mendrel/contract';
import { PARAMETERS } from '@mendrel/core';
import { api, errorOf } from '../../app/api';

const FIELDS = PARAMETERS.filter((each) => each.scope === 'project' && !each.computed && !each.key.endsWith('logo'));
// Dots in field names mean nesting to the form, so that keys go in without them.
const nameOf = (key: string): string => key.replace('.', '_');

/** What is the same on every sheet of the project, entered once. */
export function ProjectData({ project, sheets }: { project: Project; sheets: number }) {
  const [change] = api.useChangeProjectMutation();
  const designs = api.useDesignsQuery();
  const { enqueueSnackbar } = useSnackbar();
  const form = useForm<Record<string, string>>({
    defaultValues: Object.fromEntries(FIELDS.map(({ key }) => [nameOf(key), project.values[key] ?? ''])),
  });
  const { isDirty, isSubmitting } = form.formState;
  const keep = async (typed: Record<string, string>): Promise<void> => {
    const values: Record<string, string> = { ...project.values };
    for (const { key } of FIELDS) {
      const value = typed[nameOf(key)]?.trim() ?? '';
      if (value === '') delete values[key];
      else values[key] = value;
    }
    const result = await change({ id: project.id, version: project.version, values });
    if (result.error) enqueueSnackbar(`Not saved: ${errorOf(result.error).message}`, { variant: 'error' });
    else enqueueSnackbar(`Saved; now on ${sheets} sheets`, { variant: 'success' });
  };
  const choose = async (designId: string): Promise<void> => {
    const result = await change({ id: project.id, version: project.version, designId });
    if (result.error) enqueueSnackbar(`Not changed: ${errorOf(result.error).message}`, { variant: 'error' });
  };
  return (
    <Box sx={{ flex: 1, overflow: 'auto', p: 6 }}>
      <Box
        component="form"
        onSubmit={(event) => void form.handleSubmit(keep)(event)}
        sx={{
          maxWidth: 620,
          bgcolor: 'background.paper',
          border: 1,
          borderColor: 'divider',
          borderRadius: 2,
          p: 5,
          display: 'flex',
          flexDirection: 'column',
          gap: 4,
        }}
      >
        <Box>
          <Typography variant="h2" component="h2">
            Project data
          </Typography>
          <Typography sx={{ color: 'text.secondary' }}>Entered once, shown on all {sheets} sheets.</Typography>
        </Box>
        {FIELDS.map(({ key, name, longest }) => (
          <TextField
            key={key}
            label={name}
            {...form.register(nameOf(key))}
            placeholder={longest}
            slotProps={{ htmlInput: { maxLength: 300 }, inputLabel: { shrink: true } }}
          />
        ))}
        <TextField
          select
          label="Design"
          value={designs.data ? (project.designId ?? '') : ''}
          onChange={(event) => void choose(event.target.value)}
          helperText="Takes effect at once on every sheet."
          disabled={isDirty}
        >
          {(designs.data ?? []).map((design) => (
            <MenuItem key={design.id} value={design.id}>
              {design.name}
            </MenuItem>
          ))}
        </TextField>
        <Box sx={{ display: 'flex', gap: 3 }}>
          <Button type="submit" variant="contained" disabled={!isDirty || isSubmitting}>
            {isSubmitting ? 'Saving…' : 'Save project data'}
          </Button>
          <Button color="inherit" disabled={!isDirty} onClick={() => form.reset()}>
            Undo changes
          </Button>
        </Box>
      </Box>
    </Box>
  );
}
