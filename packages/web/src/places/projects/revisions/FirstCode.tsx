import { useState } from 'react';
import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { useSnackbar } from 'notistack';
import type { Project } from '@mendrel/contract';
import { FIRST_CODES, MOST_CODE_CHARACTERS } from '@mendrel/core';
import { api, errorOf } from '../../../app/api';

/** With which code the revisions of a sheet begin: one of the usual ones, or any other; all others are counted on from it. */
export function FirstCode({ project }: { project: Project }) {
  const [typed, setTyped] = useState(project.firstRevision);
  const [change] = api.useChangeProjectMutation();
  const { enqueueSnackbar } = useSnackbar();
  const keep = async (code: string): Promise<void> => {
    const first = code.trim();
    if (first === project.firstRevision) return;
    const { id, version } = project;
    const result = first === '' ? undefined : await change({ id, version, firstRevision: first });
    if (result?.error) enqueueSnackbar(`Not changed: ${errorOf(result.error).message}`, { variant: 'error' });
    if (!result || result.error) setTyped(project.firstRevision);
  };
  return (
    <Autocomplete
      freeSolo
      disableClearable
      options={FIRST_CODES.map(({ first }) => first)}
      inputValue={typed}
      value={project.firstRevision}
      filterOptions={(options) => options}
      onInputChange={(_event, text) => setTyped(text)}
      onChange={(_event, choice) => void keep(choice)}
      onBlur={() => void keep(typed)}
      renderOption={({ key, ...props }, option) => (
        <li key={key} {...props}>
          {FIRST_CODES.find(({ first }) => first === option)?.words ?? option}
        </li>
      )}
      renderInput={({ slotProps, ...params }) => (
        <TextField
          {...params}
          label="Codes begin with"
          slotProps={{
            ...slotProps,
            htmlInput: { ...slotProps?.htmlInput, maxLength: MOST_CODE_CHARACTERS },
          }}
        />
      )}
      sx={{ width: 160 }}
    />
  );
}
