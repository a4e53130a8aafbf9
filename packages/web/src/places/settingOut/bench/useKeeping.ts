import { useState } from 'react';
import { shallowEqual } from 'react-redux';
import { useNavigate } from 'react-router';
import { useSnackbar } from 'notistack';
import { api, errorOf } from '../../../app/api';
import { useAppDispatch, useAppSelector } from '../../../app/store';
import { opened } from '../opened';
import { savedAs } from '../settingOutSlice';
import { useAutosave } from './useAutosave';

/** How far a draft is kept on the server, and the ways to keep it. */
export interface Keeping {
  state: 'saved' | 'unsaved' | 'saving' | 'failed' | 'unanswered';
  /** Why it could not be saved. */
  problem: string | undefined;
  conflict: boolean;
  /** Saves now. @returns whether the server has the draft as it is */
  save: () => Promise<boolean>;
  keepCopy: () => Promise<void>;
  takeTheirs: () => Promise<void>;
  goOnEditing: () => void;
}

/** Keeps the draft on the server: by itself after a pause, and on request. Nothing of someone else's is overwritten. */
export function useKeeping(id: string): Keeping {
  const dispatch = useAppDispatch();
  const { present, saved, version, dragging } = useAppSelector(
    ({ settingOut: { present, saved, version, preview } }) => ({
      present,
      saved,
      version,
      dragging: preview !== undefined,
    }),
    shallowEqual,
  );
  const { enqueueSnackbar } = useSnackbar();
  const navigate = useNavigate();
  const [send, sending] = api.useSaveDesignMutation();
  const [create] = api.useCreateDesignMutation();
  const [load] = api.endpoints.design.useLazyQuery();
  const [conflict, setConflict] = useState<'shown' | 'put off'>();
  const [failed, setFailed] = useState<{ draft: unknown; message: string; passes: boolean }>();
  const unsaved = present !== saved;

  const save = async (): Promise<boolean> => {
    if (!present || !unsaved) return true;
    if (sending.isLoading) return false;
    const result = await send({ id, document: present, version });
    if (result.data) {
      setFailed(undefined);
      setConflict(undefined);
      dispatch(savedAs({ version: result.data.version, design: present }));
      return true;
    }
    const failure = errorOf(result.error);
    if (failure.code === 'conflict') setConflict('shown');
    // Server or database are away: the draft is sent again until they are back.
    else setFailed({ draft: present, message: failure.message, passes: failure.code === 'unavailable' });
    return false;
  };
  const failedNow = failed !== undefined && failed.draft === present;
  const unanswered = failedNow && failed.passes;
  useAutosave(
    present,
    unsaved && !sending.isLoading && conflict === undefined && (!failedNow || unanswered) && !dragging,
    () => void save(),
    unanswered,
  );

  return {
    state: !unsaved
      ? 'saved'
      : sending.isLoading
        ? 'saving'
        : unanswered
          ? 'unanswered'
          : failedNow
            ? 'failed'
            : 'unsaved',
    problem: failedNow ? failed.message : undefined,
    conflict: conflict === 'shown',
    save,
    async keepCopy() {
      if (!present) return;
      const result = await create({ document: { ...present, name: `${present.name}, copy`.slice(0, 120) } });
      setConflict('put off');
      // The copy is opened by going to it; what was unsaved here is what it holds.
      if (result.data) void navigate(`/designs/${result.data.id}`);
      else enqueueSnackbar(errorOf(result.error).message, { variant: 'error' });
    },
    async takeTheirs() {
      const result = await load(id);
      setConflict(undefined);
      if (result.data) dispatch(opened({ id, version: result.data.version, design: result.data.document }));
      else enqueueSnackbar(errorOf(result.error).message, { variant: 'error' });
    },
    goOnEditing: () => setConflict('put off'),
  };
}
