import { useState } from 'react';
import Alert from '@mui/material/Alert';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Sheet } from '@mendrel/contract';
import { counted, movedOrder } from '@mendrel/core';
import { useStep } from '../../../app/useStep';

interface Props {
  sheets: readonly Sheet[];
  chosen: ReadonlySet<string>;
  /** @returns why nothing was moved */
  onMove: (order: string[]) => Promise<string | undefined>;
  onClose: () => void;
}

/** Chosen sheets to another place of the register, whatever their numbers are. */
export function MoveSheets({ sheets, chosen, onMove, onClose }: Props) {
  const others = sheets.filter(({ id }) => !chosen.has(id));
  const [before, setBefore] = useState<Sheet | null>(null);
  const moving = useStep(onClose);
  const submit = async (): Promise<void> => {
    const ids = sheets.map(({ id }) => id);
    await moving.run(() => onMove(movedOrder(ids, chosen, before?.id ?? null)));
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="move-title">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void submit();
        }}
      >
        <DialogTitle id="move-title">Move {counted(chosen.size, 'sheet')}</DialogTitle>
        <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 4, pt: '8px !important' }}>
          <Autocomplete
            options={others}
            value={before}
            onChange={(_event, sheet) => setBefore(sheet)}
            getOptionLabel={({ number, title }) => `${number} ${title}`}
            getOptionKey={({ id }) => id}
            isOptionEqualToValue={(one, other) => one.id === other.id}
            renderInput={(params) => <TextField {...params} label="In front of" helperText="Empty: to the end" />}
          />
          <Typography sx={{ color: 'text.secondary' }}>
            The register keeps this order, and so do the index and the set, until it is ordered by number again. In the
            table Alt and the arrow keys move a row.
          </Typography>
          {moving.problem ? <Alert severity="error">Nothing moved: {moving.problem}</Alert> : null}
        </DialogContent>
        <DialogActions>
          <Button color="inherit" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" variant="contained" disabled={moving.busy || others.length === 0}>
            Move
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
