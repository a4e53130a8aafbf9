import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';

interface Props {
  /** The question, with what would be deleted. */
  title: string;
  /** What goes with it, and what stays. */
  words: string;
  busy: boolean;
  /** Why it was not deleted, or cannot be. */
  problem?: string | undefined;
  /** It cannot be deleted as things are; the problem says why. */
  refused?: boolean;
  onDelete: () => void;
  onClose: () => void;
  /** What can be chosen about it. */
  children?: React.ReactNode;
}

/** Asks before something is deleted that cannot be brought back. */
export function AskBeforeDeleting({
  title,
  words,
  busy,
  problem,
  refused = false,
  onDelete,
  onClose,
  children,
}: Props) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="delete-title">
      <DialogTitle id="delete-title">{title}</DialogTitle>
      <DialogContent>
        <Typography>{words}</Typography>
        {children}
        {problem ? (
          <Alert severity={refused ? 'warning' : 'error'} sx={{ mt: 3 }}>
            {problem}
          </Alert>
        ) : null}
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Cancel
        </Button>
        <Button variant="contained" color="error" disabled={busy || refused} onClick={onDelete}>
          Delete
        </Button>
      </DialogActions>
    </Dialog>
  );
}
