import { useState } from 'react';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useSnackbar } from 'notistack';

import { useSheetKinds } from '../../../app/sheetKinds';
import type { Project, Sheet } from '@mendrel/contract';
import { errorOf } from '../../../app/api';
import { sheetApi } from '../../../app/sheetApi';
import { submitOnEnter } from '../../../app/typedBreaks';
import type { SheetLook } from '../sheetDrawings';

/** A new sheet; its number is proposed from its kind and can be typed over. */
export function AddSheet({
  project,
  sizesOf,
  onClose,
}: {
  project: Project;
  /** Sizes that the design of a sheet serves. */
  sizesOf: (sheet: SheetLook) => readonly string[];
  onClose: () => void;
}) {
  const [kind, setKind] = useState<Sheet['kind']>('plan');
  const [chosenSize, setSize] = useState<string>();
  const sizes = sizesOf({ kind });
  // That of the kind, until another one is chosen that the kind's design serves too.
  const usual = project.kinds.find((each) => each.kind === kind)?.size ?? 'ISO A1';
  const size = [chosenSize, usual].find((each) => each !== undefined && sizes.includes(each)) ?? sizes[0] ?? 'ISO A1';
  const [title, setTitle] = useState('');
  const [typed, setTyped] = useState<string>();
  const proposal = sheetApi.useNextNumberQuery({ projectId: project.id, kind });
  const [add, adding] = sheetApi.useAddSheetMutation();
  const [problem, setProblem] = useState<{ message: string; where?: string }>();
  const { enqueueSnackbar } = useSnackbar();
  const number = typed ?? proposal.data?.number ?? '';
  const submit = async (): Promise<void> => {
    const result = await add({ projectId: project.id, kind, size, title, number });
    if (result.data) {
      enqueueSnackbar(`${result.data.number} added`, { variant: 'success' });
      onClose();
    } else setProblem(errorOf(result.error));
  };
  const onNumber = problem?.where === 'number';
  const onSize = problem?.where === 'size';
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="add-sheet">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void submit();
        }}
      >
        <DialogTitle id="add-sheet">Add a sheet</DialogTitle>
        <DialogContent sx={{ display: 'flex', flexDirection: 'column', gap: 4, pt: '8px !important' }}>
          <TextField select label="Kind" value={kind} onChange={(event) => setKind(event.target.value)}>
            {useSheetKinds().map(({ name }) => (
              <MenuItem key={name} value={name}>
                {name}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            label="Number"
            value={number}
            required
            onChange={(event) => setTyped(event.target.value)}
            error={onNumber}
            helperText={
              onNumber ? problem.message : typed === undefined ? 'Proposed: the next free one of this kind' : ' '
            }
          />
          <TextField
            label="Title"
            value={title}
            autoFocus
            multiline
            onKeyDown={submitOnEnter}
            onChange={(event) => setTitle(event.target.value)}
            error={problem !== undefined && !onNumber && !onSize}
            helperText={onNumber || onSize ? undefined : problem?.message}
          />
          <TextField
            select
            label="Size"
            value={size}
            onChange={(event) => setSize(event.target.value)}
            error={onSize}
            helperText={onSize ? problem.message : undefined}
          >
            {sizes.map((each) => (
              <MenuItem key={each} value={each}>
                {each}
              </MenuItem>
            ))}
          </TextField>
        </DialogContent>
        <DialogActions>
          <Button color="inherit" onClick={onClose}>
            Cancel
          </Button>
          <Button type="submit" variant="contained" disabled={number.trim() === '' || adding.isLoading}>
            Add
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
