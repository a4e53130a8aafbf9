import { useState } from 'react';
import { useForm } from 'react-hook-form';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useSnackbar } from 'notistack';
import type { Sheet, SheetSet } from '@mendrel/contract';
import type { OfficeStandard } from '@mendrel/core';
import { counted } from '@mendrel/core';
import { errorOf } from '../../../app/api';
import { AskBeforeDeleting } from '../../../app/AskBeforeDeleting';
import type { Downloads } from '../../../app/download';
import { issueApi } from '../../../app/issueApi';
import { useUnsavedInput } from '../../../app/unsavedInput';
import { enteredFor, typedFrom, ValueField, valuesFrom } from '../../../app/valueFields';
import { SetSheets } from './SetSheets';
import { nameOf } from './setWords';

interface Props {
  set: SheetSet;
  sheets: readonly Sheet[];
  standard: OfficeStandard;
  downloads: Downloads;
  onDeleted: () => void;
}

/** A set: what is said of it, its sheets and their order; saved together or given up. */
export function SetForm({ set, sheets, standard, downloads, onDeleted }: Props) {
  const fields = enteredFor('set', standard);
  const form = useForm<Record<string, string>>({ defaultValues: typedFrom(set.values, fields) });
  const [chosen, setChosen] = useState<readonly string[]>(set.sheets);
  const [due, setDue] = useState(set.due ?? '');
  const [leaving, setLeaving] = useState(false);
  const [change, changing] = issueApi.useChangeSetMutation();
  const [remove, removing] = issueApi.useDeleteSetMutation();
  const { enqueueSnackbar } = useSnackbar();
  const reordered = chosen.length !== set.sheets.length || chosen.some((id, i) => id !== set.sheets[i]);
  const dirty = form.formState.isDirty || reordered || due !== (set.due ?? '');
  useUnsavedInput(dirty);
  const name = nameOf(set);
  const save = async (typed: Record<string, string>): Promise<void> => {
    const values = valuesFrom(typed, fields, set.values);
    const result = await change({ id: set.id, version: set.version, values, sheets: [...chosen], due: due || null });
    if (result.error) enqueueSnackbar(`Not saved: ${errorOf(result.error).message}`, { variant: 'error' });
    else enqueueSnackbar(`${nameOf(result.data)} has ${counted(chosen.length, 'sheet')}`, { variant: 'success' });
  };
  return (
    <Box
      component="form"
      aria-label={`Set ${name}`}
      onSubmit={(event) => void form.handleSubmit(save)(event)}
      sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column', gap: 4 }}
    >
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(240px, 1fr))', gap: 4, pt: 1 }}>
        {fields.map((parameter) => (
          <ValueField key={parameter.key} parameter={parameter} form={form} />
        ))}
        <TextField
          type="date"
          label="Goes out next on"
          value={due}
          onChange={({ target }) => setDue(target.value)}
          helperText="The Desk tells of it until then."
          slotProps={{ inputLabel: { shrink: true } }}
        />
      </Box>
      <SetSheets name={name} sheets={sheets} chosen={chosen} onChange={setChosen} />
      <Box sx={{ display: 'flex', gap: 3, alignItems: 'center' }}>
        <Button type="submit" variant="contained" disabled={!dirty || changing.isLoading}>
          {changing.isLoading ? 'Saving…' : 'Save this set'}
        </Button>
        <Button
          color="inherit"
          disabled={!dirty}
          onClick={() => {
            form.reset();
            setChosen(set.sheets);
            setDue(set.due ?? '');
          }}
        >
          Discard changes
        </Button>
        <Box sx={{ flex: 1 }} />
        <Button color="inherit" onClick={() => setLeaving(true)}>
          Delete this set…
        </Button>
        <Button
          variant="outlined"
          disabled={dirty || set.sheets.length === 0 || downloads.fetching !== undefined}
          onClick={() => void downloads.download(`/api/projects/${set.projectId}/set.pdf?set=${set.id}`, name)}
        >
          {downloads.fetching ? 'Drawing…' : 'Download this set as PDF'}
        </Button>
      </Box>
      {leaving ? (
        <AskBeforeDeleting
          title={`Delete the set ${name}?`}
          words="Its sheets stay in the register, and what was issued of it stays as it is."
          busy={removing.isLoading}
          problem={removing.error ? errorOf(removing.error).message : undefined}
          onDelete={() =>
            void remove(set.id).then((result) => {
              if (!result.error) onDeleted();
            })
          }
          onClose={() => setLeaving(false)}
        />
      ) : null}
    </Box>
  );
}
