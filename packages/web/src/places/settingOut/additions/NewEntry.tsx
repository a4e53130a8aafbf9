import { useState } from 'react';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { OfficeStandard, WorkingUnit } from '@mendrel/core';
import { QuantityError } from '@mendrel/core';
import type { EntryKind } from './entryKinds';
import { ENTRY_KINDS } from './entryKinds';
import { useAdditions } from './useAdditions';

interface Props {
  kind: EntryKind;
  standard: OfficeStandard;
  unit: WorkingUnit;
  /** Is told the id, name or key of what was added. */
  onAdded: (id: string) => void;
  onClose: () => void;
}

/** Asks for what a new entry of the office standard needs, and adds it in one step. */
export function NewEntry({ kind, standard, unit, onAdded, onClose }: Props) {
  const { title, fields, make } = ENTRY_KINDS[kind];
  const asked = fields(standard, unit);
  const [typed, setTyped] = useState<Record<string, string>>(() =>
    Object.fromEntries(asked.map(({ key, start }) => [key, start])),
  );
  const [problem, setProblem] = useState<string>();
  const add = useAdditions();
  const submit = async (): Promise<void> => {
    try {
      const { id, addition } = make(typed, standard, unit);
      const refused = await add(addition, typed['name']?.trim() ?? '');
      if (refused === undefined) {
        onAdded(id);
        onClose();
      } else setProblem(refused);
    } catch (error) {
      if (!(error instanceof QuantityError)) throw error;
      setProblem(error.message);
    }
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="new-entry">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void submit();
        }}
      >
        <DialogTitle id="new-entry">{title}</DialogTitle>
        <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 4, pt: '8px !important' }}>
          {problem ? <Alert severity="error">{problem}</Alert> : null}
          {asked.map(({ key, label, help, options }, i) => (
            <TextField
              key={key}
              label={label}
              required
              autoFocus={i === 0}
              select={options !== undefined}
              value={typed[key] ?? ''}
              helperText={help}
              onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
            >
              {options?.map((each) => (
                <MenuItem key={each} value={each}>
                  {each}
                </MenuItem>
              ))}
            </TextField>
          ))}
        </DialogContent>
        <DialogActions>
          <Button color="inherit" onClick={onClose}>
            Cancel
          </Button>
          <Button
            type="submit"
            variant="contained"
            disabled={asked.some(({ key }) => (typed[key] ?? '').trim() === '')}
          >
            Add and use it
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
