import Button from '@mui/material/Button';
import type { SnackbarKey } from 'notistack';
import { useSnackbar } from 'notistack';

/** Takes back what a message tells of, and the message with it. */
export function UndoButton({ message, onUndo }: { message: SnackbarKey; onUndo: () => void }) {
  const { closeSnackbar } = useSnackbar();
  return (
    <Button
      size="small"
      color="inherit"
      onClick={() => {
        closeSnackbar(message);
        onUndo();
      }}
    >
      Undo
    </Button>
  );
}
