import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { StandardState } from '@mendrel/contract';
import { api, errorOf } from '../../app/api';
import { useCommands } from '../../app/commands';
import { PlaceBar } from '../../app/Shell';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { FixDialog, SaveDialog } from './SaveDialog';
import { standardOpened, standardRedone, standardSaved, standardUndone, standardUnsaved } from './standardSlice';
import { useStandardEdit } from './useStandardEdit';
import { Sign } from '../../app/FindingMark';

/** What state the draft is in, and what can be done with it. */
export function StandardBar({ state }: { state: StandardState }) {
  const dispatch = useAppDispatch();
  const { standard, problems } = useStandardEdit();
  const { saved, version, past, future, unread } = useAppSelector((root) => root.standard);
  const unsaved = useAppSelector(standardUnsaved);
  const [save, saving] = api.useSaveStandardMutation();
  const [fix, fixing] = api.usePublishStandardMutation();
  const [open, setOpen] = useState<'save' | 'fix'>();
  const { enqueueSnackbar } = useSnackbar();
  const newest = state.revisions[0]?.number;
  const faults = problems.length + Object.keys(unread).length;
  const maySave = unsaved && faults === 0;

  const keep = async (): Promise<void> => {
    const result = await save({ standard, version });
    if (result.data) {
      dispatch(standardSaved({ version: result.data.version, standard }));
      enqueueSnackbar('The draft is saved', { variant: 'success' });
      setOpen(undefined);
      return;
    }
    const { code, message } = errorOf(result.error);
    setOpen(undefined);
    enqueueSnackbar(
      code === 'conflict'
        ? `Not saved: ${message}. Your edits are still here; download them as JSON, take theirs, then read yours again.`
        : `Not saved: ${message}`,
      { variant: 'error', persist: true },
    );
  };
  const close = async (note: string): Promise<void> => {
    const result = await fix({ note, version });
    if (!result.data) return;
    enqueueSnackbar(`Revision ${result.data.revisions[0]?.number ?? ''} published`, { variant: 'success' });
    setOpen(undefined);
  };
  const undo = (): void => void dispatch(standardUndone());
  const redo = (): void => void dispatch(standardRedone());
  useCommands([
    { name: 'Save the draft of the standard', keys: 'Ctrl+S', run: () => maySave && setOpen('save') },
    { name: 'Undo in the standard', keys: 'Ctrl+Z', run: undo },
    { name: 'Redo in the standard', keys: 'Ctrl+Shift+Z', run: redo },
  ]);
  return (
    <PlaceBar title="Standard">
      <Typography sx={{ color: 'text.secondary' }} role="status">
        {stateInWords({ unsaved, ahead: state.changed, newest })}
      </Typography>
      <Box sx={{ flex: 1 }} />
      {faults > 0 ? (
        <Typography sx={{ color: 'error.main' }}>
          <Sign weight="error" /> {faults === 1 ? '1 entry' : `${faults} entries`} to fix
        </Typography>
      ) : null}
      {state.version > version && unsaved ? (
        <Button
          color="inherit"
          onClick={() => dispatch(standardOpened({ version: state.version, standard: state.draft }))}
        >
          Load their version
        </Button>
      ) : null}
      <Button color="inherit" disabled={past.length === 0} onClick={undo} title="Ctrl+Z">
        Undo
      </Button>
      <Button color="inherit" disabled={future.length === 0} onClick={redo} title="Ctrl+Shift+Z">
        Redo
      </Button>
      {unsaved || !state.changed ? null : (
        <Button variant="outlined" onClick={() => setOpen('fix')}>
          Publish revision {(newest ?? 0) + 1}…
        </Button>
      )}
      <Button variant="contained" disabled={!maySave} onClick={() => setOpen('save')} title="Ctrl+S">
        See impact and save…
      </Button>
      {open === 'save' && saved ? (
        <SaveDialog
          before={saved}
          after={standard}
          saving={saving.isLoading}
          onSave={() => void keep()}
          onClose={() => setOpen(undefined)}
        />
      ) : null}
      {open === 'fix' ? (
        <FixDialog
          number={(newest ?? 0) + 1}
          fixing={fixing.isLoading}
          problem={fixing.error ? errorOf(fixing.error).message : undefined}
          onFix={(note) => void close(note)}
          onClose={() => setOpen(undefined)}
        />
      ) : null}
    </PlaceBar>
  );
}

function stateInWords(on: { unsaved: boolean; ahead: boolean; newest: number | undefined }): string {
  if (on.unsaved) return 'Draft with edits that are not saved';
  if (on.newest === undefined) return 'Draft, not published yet';
  return on.ahead ? `Draft, changed since revision ${on.newest}` : `Draft, the same as revision ${on.newest}`;
}
