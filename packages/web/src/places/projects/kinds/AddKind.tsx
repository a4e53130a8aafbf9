import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { MOST_KIND_CHARACTERS, MOST_OWN_KINDS } from '@mendrel/core';
import { errorOf } from '../../../app/api';
import { FIGURES, FREE_FIGURE } from './figures';
import { useOwnKinds } from './useOwnKinds';

/** A kind of sheet of the office's own. */
export function AddKind() {
  const { own, ready, save } = useOwnKinds();
  const [name, setName] = useState('');
  const [figure, setFigure] = useState(FREE_FIGURE);
  const [problem, setProblem] = useState<string>();
  const full = own.length >= MOST_OWN_KINDS;
  const add = async (): Promise<void> => {
    const error = await save([...own, { name: name.trim(), figure }]);
    setProblem(error && errorOf(error).message);
    if (!error) setName('');
  };
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        void add();
      }}
      sx={{ display: 'flex', gap: 3, alignItems: 'flex-start', mt: 4 }}
    >
      <TextField
        label="Another kind"
        value={name}
        disabled={full}
        onChange={({ target }) => {
          setName(target.value);
          setProblem(undefined);
        }}
        error={problem !== undefined}
        helperText={problem ?? (full ? `An office has at most ${MOST_OWN_KINDS} kinds of its own` : ' ')}
        slotProps={{ htmlInput: { maxLength: MOST_KIND_CHARACTERS } }}
        sx={{ width: 240 }}
      />
      <TextField
        select
        label="Figure in numbers"
        value={figure}
        disabled={full}
        onChange={({ target }) => setFigure(Number(target.value))}
        sx={{ width: 140 }}
      >
        {FIGURES.map((each) => (
          <MenuItem key={each} value={each}>
            {each}
          </MenuItem>
        ))}
      </TextField>
      <Button type="submit" variant="outlined" disabled={!ready || full || name.trim() === ''}>
        Add the kind
      </Button>
    </Box>
  );
}
