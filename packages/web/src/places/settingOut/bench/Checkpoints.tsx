import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { DesignCheckpoint } from '@mendrel/contract';
import type { Design } from '@mendrel/core';
import { api, errorOf } from '../../../app/api';
import { useAppDispatch } from '../../../app/store';
import { edited } from '../settingOutSlice';

/** States of the draft kept under a name. Going back to one is an edit like any other, and can be undone. */
export function Checkpoints({ id, design, onClose }: { id: string; design: Design; onClose: () => void }) {
  const { data } = api.useCheckpointsQuery(id);
  const [keep] = api.useKeepCheckpointMutation();
  const [remove] = api.useDeleteCheckpointMutation();
  const [load] = api.endpoints.checkpoint.useLazyQuery();
  const dispatch = useAppDispatch();
  const { enqueueSnackbar } = useSnackbar();
  const [name, setName] = useState('');
  const say = (error: unknown): void => void enqueueSnackbar(errorOf(error).message, { variant: 'error' });
  const add = async (): Promise<void> => {
    const result = await keep({ id, name, document: design });
    if (result.error) say(result.error);
    else setName('');
  };
  const goBack = async (checkpoint: DesignCheckpoint): Promise<void> => {
    const result = await load({ id, checkpoint: checkpoint.id });
    if (!result.data) {
      say(result.error);
      return;
    }
    dispatch(edited(result.data.document));
    enqueueSnackbar(`“${checkpoint.name}” restored; Ctrl+Z goes back`, { variant: 'success' });
    onClose();
  };
  const deleteIt = async (checkpoint: DesignCheckpoint): Promise<void> => {
    const result = await remove({ id, checkpoint: checkpoint.id });
    if (result.error) say(result.error);
  };
  return (
    <Box component="section" aria-label="Checkpoints" sx={{ mt: 5 }}>
      <Typography variant="h3" component="h3" sx={{ color: 'text.secondary', mb: 2 }}>
        Checkpoints of the draft
      </Typography>
      <Box
        component="form"
        onSubmit={(event) => {
          event.preventDefault();
          void add();
        }}
        sx={{ display: 'flex', gap: 2, mb: 2 }}
      >
        <TextField
          label="Name of the checkpoint"
          value={name}
          onChange={(event) => setName(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 120 } }}
        />
        <Button type="submit" disabled={name.trim() === ''}>
          Save checkpoint
        </Button>
      </Box>
      {data?.map((each) => (
        <Box
          key={each.id}
          sx={{ display: 'flex', alignItems: 'center', gap: 1, borderTop: 1, borderColor: 'divider', py: 1 }}
        >
          <Box sx={{ flex: 1, minWidth: 0 }}>
            <Typography noWrap title={each.name}>
              {each.name}
            </Typography>
            <Typography variant="caption" sx={{ color: 'text.secondary' }}>
              {new Date(each.keptAt).toLocaleString()}
            </Typography>
          </Box>
          <Button size="small" onClick={() => void goBack(each)} aria-label={`Restore ${each.name}`}>
            Restore
          </Button>
          <Button size="small" color="inherit" onClick={() => void deleteIt(each)} aria-label={`Delete ${each.name}`}>
            Delete
          </Button>
        </Box>
      ))}
    </Box>
  );
}
