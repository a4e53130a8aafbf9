import { useState } from 'react';
import { useNavigate } from 'react-router';
import Button from '@mui/material/Button';
import { useSnackbar } from 'notistack';
import type { IntakeSetRecord } from '@mendrel/contract';
import { api, errorOf } from '../../../app/api';
import { AskBeforeDeleting } from '../../../app/AskBeforeDeleting';

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
        <AskBeforeDeleting
          title={`Delete ${set.drawings} ${set.drawings === 1 ? 'drawing' : 'drawings'}?`}
          words="Deletes the drawings and what was recognised in them; projects and designs stay."
          busy={removing.isLoading}
          onDelete={() => void drop()}
          onClose={() => setAsking(false)}
        />
      ) : null}
    </>
  );
}
