import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogContentText from '@mui/material/DialogContentText';
import DialogTitle from '@mui/material/DialogTitle';

interface Props {
  onKeepCopy: () => void;
  onTakeTheirs: () => void;
  onClose: () => void;
}

/** Told when someone else saved the same design in the meantime; nothing was overwritten. */
export function SaveConflict({ onKeepCopy, onTakeTheirs, onClose }: Props) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="conflict-title">
      <DialogTitle id="conflict-title">Someone else has saved this design</DialogTitle>
      <DialogContent>
        <DialogContentText>
          It was changed on the server since you opened it, so your version was not saved over it. Keep yours as a
          design of its own, or take theirs and let yours go.
        </DialogContentText>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Go on editing
        </Button>
        <Button color="error" onClick={onTakeTheirs}>
          Load their version
        </Button>
        <Button variant="contained" onClick={onKeepCopy}>
          Keep mine as a copy
        </Button>
      </DialogActions>
    </Dialog>
  );
}
