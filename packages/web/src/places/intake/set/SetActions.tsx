import { useState } from 'react';
import { useNavigate } from 'react-router';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { IntakeSetRecord } from '@mendrel/contract';
import { api, errorOf } from '../../../app/api';

/** Stops and goes on with the reading of a set, or takes its drawings away after asking. */
export function SetActions({ set }: { set: IntakeSetRecord }) {
  const [act, acting] = api.useReadIntakeSetMutation();
  const [remove, removing] = api.useDeleteIntakeSetMutation();
  const navigate = useNavigate();
  const { enqueueSnackbar } = useSnackbar();
  const [asking, setAsking] = useState(false);
  const drop = async (): Promise<void> => {
    const result = await remove(set.id);
    if ('error' in result) enqueueSnackbar(`Not deleted: ${errorOf(result.error).message}`, { variant: 'error' });
    else void navigate('/intake');
  };
  return (
    <>
      {set.state === 'reading' ? (
        <Button variant="outlined" disabled={acting.isLoading} onClick={() => void act({ id: set.id, action: 'stop' })}>
          Stop reading
        </Button>
      ) : (
        <Button color="inherit" disabled={removing.isLoading} onClick={() => setAsking(true)}>
          Delete these drawings
        </Button>
      )}
      {set.state === 'stopped' || set.state === 'open' ? (
        <Button
          variant="contained"
          disabled={acting.isLoading}
          onClick={() => void act({ id: set.id, action: 'read' })}
        >
          Read the rest
        </Button>
      ) : null}
      {asking ? (
        <Dialog open onClose={() => setAsking(false)} aria-labelledby="delete-set-title">
          <DialogTitle id="delete-set-title">
            Delete {set.drawings} {set.drawings === 1 ? 'drawing' : 'drawings'}?
          </DialogTitle>
          <DialogContent>
            <Typography>
              They and what was recognised of them leave Mendrel. Projects and designs that were taken over stay.
            </Typography>
          </DialogContent>
          <DialogActions>
            <Button color="inherit" onClick={() => setAsking(false)}>
              Keep them
            </Button>
            <Button variant="contained" color="error" disabled={removing.isLoading} onClick={() => void drop()}>
              Delete them
            </Button>
          </DialogActions>
        </Dialog>
      ) : null}
    </>
  );
}
