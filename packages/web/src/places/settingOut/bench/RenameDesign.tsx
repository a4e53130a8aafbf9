import { useState } from 'react';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';

/** Asks for another name of the design. */
export function RenameDesign({
  name,
  onRename,
  onClose,
}: {
  name: string;
  onRename: (name: string) => void;
  onClose: () => void;
}) {
  const [typed, setTyped] = useState(name);
  const usable = typed.trim() !== '' && typed.trim().length <= 120;
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="rename-title">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (!usable) return;
          onRename(typed.trim());
          onClose();
        }}
      >
        <DialogTitle id="rename-title">Rename the design</DialogTitle>
        <DialogContent sx={{ pt: '8px !important' }}>
          <TextField
            label="Design name"
            value={typed}
            autoFocus
            onChange={(event) => setTyped(event.target.value)}
            error={!usable}
            helperText={usable ? ' ' : 'A name has 1 to 120 characters.'}
          />
        </DialogContent>
        <DialogActions>
          <Button color="inherit" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" variant="contained" disabled={!usable}>
            Rename
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
