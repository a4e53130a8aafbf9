import { useState } from 'react';
import { useNavigate } from 'react-router';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { TryOn } from '@mendrel/core';
import { renameDesign } from '@mendrel/core';
import { api, errorOf } from '../../app/api';
import { useCommands } from '../../app/commands';
import { PlaceBar, TrailLink } from '../../app/Shell';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { RenameDesign } from './RenameDesign';
import { SaveConflict } from './SaveConflict';
import { edited, opened, redone, savedAs, sizeShown, triedOn, undone } from './settingOutSlice';

const TRY_ON: readonly { key: TryOn; name: string }[] = [
  { key: 'blank', name: 'Blank' },
  { key: 'typical', name: 'Typical' },
  { key: 'longest', name: 'Longest' },
];

/** The bar over setting-out: the design's name and state, undo, what is tried on, and saving. */
export function BenchBar({ id }: { id: string }) {
  const dispatch = useAppDispatch();
  const { tryOn, past, future, present, saved, version } = useAppSelector((root) => root.settingOut);
  const { enqueueSnackbar } = useSnackbar();
  const navigate = useNavigate();
  const [save, saving] = api.useSaveDesignMutation();
  const [create] = api.useCreateDesignMutation();
  const [load] = api.endpoints.design.useLazyQuery();
  const [conflict, setConflict] = useState(false);
  const [renaming, setRenaming] = useState(false);
  const unsaved = present !== saved;

  const keep = async (): Promise<void> => {
    if (!present || !unsaved || saving.isLoading) return;
    const result = await save({ id, document: present, version });
    if (result.data) {
      dispatch(savedAs({ version: result.data.version, design: present }));
      enqueueSnackbar('Saved', { variant: 'success' });
      return;
    }
    const failure = errorOf(result.error);
    if (failure.code === 'conflict') setConflict(true);
    else enqueueSnackbar(`Not saved: ${failure.message}`, { variant: 'error' });
  };
  const keepCopy = async (): Promise<void> => {
    if (!present) return;
    const result = await create({ document: { ...present, name: `${present.name}, copy`.slice(0, 120) } });
    setConflict(false);
    // The copy is opened by going to it; what was unsaved here is what it holds.
    if (result.data) void navigate(`/designs/${result.data.id}`);
    else enqueueSnackbar(errorOf(result.error).message, { variant: 'error' });
  };
  const takeTheirs = async (): Promise<void> => {
    setConflict(false);
    const result = await load(id);
    if (result.data) dispatch(opened({ id, version: result.data.version, design: result.data.document }));
    else enqueueSnackbar(errorOf(result.error).message, { variant: 'error' });
  };

  useCommands([
    { name: 'Save the design', keys: 'Ctrl+S', run: () => void keep() },
    { name: 'Rename the design', run: () => setRenaming(true) },
    { name: 'Undo', keys: 'Ctrl+Z', run: () => dispatch(undone()) },
    { name: 'Redo', keys: 'Ctrl+Shift+Z', run: () => dispatch(redone()) },
    ...TRY_ON.map((each) => ({
      name: `Try on ${each.name.toLowerCase()} values`,
      run: () => void dispatch(triedOn(each.key)),
    })),
    ...(present?.sizes ?? []).map((each, i) => ({
      name: `Show ${each.size}`,
      ...(i < 9 ? { keys: `Shift+${i + 1}` } : {}),
      run: () => void dispatch(sizeShown(each.size)),
    })),
  ]);
  if (!present) return null;
  return (
    <>
      <PlaceBar title={present.name} trail={<TrailLink to="/designs">Designs</TrailLink>}>
        <Chip
          size="small"
          label={unsaved ? 'not saved yet' : `saved, version ${version}`}
          sx={{ bgcolor: unsaved ? 'office.hereGround' : 'office.accentGround', color: 'text.primary' }}
        />
        <Button size="small" color="inherit" onClick={() => setRenaming(true)}>
          Rename
        </Button>
        <Box sx={{ flex: 1 }} />
        <Button size="small" color="inherit" disabled={past.length === 0} onClick={() => dispatch(undone())}>
          Undo
        </Button>
        <Button size="small" color="inherit" disabled={future.length === 0} onClick={() => dispatch(redone())}>
          Redo
        </Button>
        <Typography id="try-on" sx={{ color: 'text.secondary', whiteSpace: 'nowrap' }}>
          Try on
        </Typography>
        <ToggleButtonGroup
          size="small"
          color="primary"
          exclusive
          aria-labelledby="try-on"
          value={tryOn}
          onChange={(_event, next: TryOn | null) => next && dispatch(triedOn(next))}
        >
          {TRY_ON.map(({ key, name }) => (
            <ToggleButton key={key} value={key}>
              {name}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        <Button variant="contained" disabled={!unsaved || saving.isLoading} onClick={() => void keep()}>
          {saving.isLoading ? 'Saving…' : 'Save'}
        </Button>
      </PlaceBar>
      {renaming ? (
        <RenameDesign
          name={present.name}
          onRename={(name) => dispatch(edited(renameDesign(present, name)))}
          onClose={() => setRenaming(false)}
        />
      ) : null}
      {conflict ? (
        <SaveConflict
          onKeepCopy={() => void keepCopy()}
          onTakeTheirs={() => void takeTheirs()}
          onClose={() => setConflict(false)}
        />
      ) : null}
    </>
  );
}
