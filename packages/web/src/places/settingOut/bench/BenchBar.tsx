import { useState } from 'react';
import { shallowEqual } from 'react-redux';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import type { OfficeStandard, TryOn, Values } from '@mendrel/core';
import { lockDesign, renameDesign } from '@mendrel/core';
import { useCommands } from '../../../app/commands';
import { PlaceBar, TrailLink } from '../../../app/Shell';
import { useAppDispatch, useAppSelector } from '../../../app/store';
import { edited, realTried, redone, sizeShown, triedOn, undone, valuesTyped } from '../settingOutSlice';
import { DownloadDesign } from './DownloadDesign';
import { RenameDesign } from './RenameDesign';
import { RevisionsDialog } from './RevisionsDialog';
import { SaveConflict } from './SaveConflict';
import { TrySheet } from './TrySheet';
import type { Keeping } from './useKeeping';
import { useKeeping } from './useKeeping';
import { Sign } from '../../../app/FindingMark';

const TRY_ON: readonly { key: TryOn; name: string }[] = [
  { key: 'blank', name: 'Blank' },
  { key: 'typical', name: 'Typical' },
  { key: 'longest', name: 'Longest' },
];

/** The choice of a real sheet in place of examples. */
const REAL = 'real';

/** The bar over setting-out: the design's name and state, undo, what is tried on, its revisions, and saving. */
export function BenchBar({ id, standard, tried }: { id: string; standard: OfficeStandard; tried: Values }) {
  const dispatch = useAppDispatch();
  // Only what the bar shows: a drag in progress must not draw it anew.
  const { tryOn, real, typed, size, canUndo, canRedo, present, version } = useAppSelector(
    ({ settingOut: { tryOn, real, typed, size, past, future, present, version } }) => ({
      tryOn,
      real,
      typed,
      size,
      canUndo: past.length > 0,
      canRedo: future.length > 0,
      present,
      version,
    }),
    shallowEqual,
  );
  const keeping = useKeeping(id);
  const [renaming, setRenaming] = useState(false);
  const [revisions, setRevisions] = useState(false);
  const [trying, setTrying] = useState(false);
  const [downloading, setDownloading] = useState(false);

  useCommands([
    { name: 'Save the design', keys: 'Ctrl+S', run: () => void keeping.save() },
    { name: 'Try on a real sheet or own values', run: () => setTrying(true) },
    { name: 'Download the design', run: () => setDownloading(true) },
    { name: 'Rename the design', run: () => setRenaming(true) },
    { name: 'Revisions, checkpoints and what changed', keys: 'R', run: () => setRevisions(true) },
    {
      name: present?.locked ? 'Unlock the design' : 'Lock the design',
      run: () => present && void dispatch(edited(lockDesign(present, !present.locked))),
    },
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
  const over = Object.keys(typed).length;
  const other = `${real?.number ?? 'Other…'}${over === 0 ? '' : ` +${over}`}`;
  return (
    <>
      <PlaceBar title={present.name} trail={<TrailLink to="/designs">Designs</TrailLink>}>
        <KeptChip keeping={keeping} version={version} />
        {present.locked ? (
          <Button size="small" onClick={() => dispatch(edited(lockDesign(present, false)))}>
            Locked; unlock
          </Button>
        ) : (
          <Button size="small" color="inherit" onClick={() => setRenaming(true)}>
            Rename
          </Button>
        )}
        <Box sx={{ flex: 1 }} />
        <Button size="small" color="inherit" disabled={!canUndo} onClick={() => dispatch(undone())}>
          Undo
        </Button>
        <Button size="small" color="inherit" disabled={!canRedo} onClick={() => dispatch(redone())}>
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
          value={real ? REAL : tryOn}
          onChange={(_event, next: TryOn | typeof REAL | null) => {
            if (next === REAL || (next === null && real)) setTrying(true);
            else if (next) dispatch(triedOn(next));
          }}
        >
          {TRY_ON.map(({ key, name }) => (
            <ToggleButton key={key} value={key}>
              {name}
            </ToggleButton>
          ))}
          <ToggleButton value={REAL} aria-label={`${other}, a real sheet or own values`}>
            {other}
          </ToggleButton>
        </ToggleButtonGroup>
        <Button size="small" color="inherit" onClick={() => setDownloading(true)}>
          Download…
        </Button>
        <Button variant="outlined" onClick={() => setRevisions(true)}>
          Revisions…
        </Button>
        <Button
          variant="contained"
          disabled={keeping.state === 'saved' || keeping.state === 'saving'}
          onClick={() => void keeping.save()}
        >
          {keeping.state === 'saving' ? 'Saving…' : 'Save'}
        </Button>
      </PlaceBar>
      {renaming ? (
        <RenameDesign
          name={present.name}
          onRename={(name) => dispatch(edited(renameDesign(present, name)))}
          onClose={() => setRenaming(false)}
        />
      ) : null}
      {trying ? (
        <TrySheet
          design={present}
          standard={standard}
          tried={tried}
          typed={typed}
          onTry={(chosen, values) => {
            dispatch(valuesTyped(values));
            if (!chosen) return;
            const { project, sheet } = chosen;
            dispatch(realTried({ project: project.id, sheet: sheet.id, number: sheet.number }));
            if (present.sizes.some((each) => each.size === sheet.size)) dispatch(sizeShown(sheet.size));
          }}
          onClose={() => setTrying(false)}
        />
      ) : null}
      {downloading ? (
        <DownloadDesign
          id={id}
          design={present}
          shown={size}
          tryOn={tryOn}
          typed={typed}
          save={keeping.save}
          onClose={() => setDownloading(false)}
        />
      ) : null}
      {revisions ? (
        <RevisionsDialog
          id={id}
          design={present}
          version={version}
          standard={standard}
          save={keeping.save}
          onClose={() => setRevisions(false)}
        />
      ) : null}
      {keeping.conflict ? (
        <SaveConflict
          onKeepCopy={() => void keeping.keepCopy()}
          onTakeTheirs={() => void keeping.takeTheirs()}
          onClose={keeping.goOnEditing}
        />
      ) : null}
    </>
  );
}

/** Whether the draft is on the server. */
function KeptChip({ keeping, version }: { keeping: Keeping; version: number }) {
  const words = {
    saved: `saved, version ${version}`,
    saving: 'saving…',
    unsaved: 'not saved yet',
    failed: `not saved: ${keeping.problem}`,
    unanswered: 'no answer yet; it is saved by itself',
  }[keeping.state];
  const wrong = keeping.state === 'failed' || keeping.state === 'unanswered';
  return (
    <Chip
      size="small"
      label={words}
      {...(wrong ? { icon: <Sign weight="error" /> } : {})}
      title={keeping.problem ?? words}
      sx={{
        maxWidth: 300,
        bgcolor: wrong
          ? 'office.spillsGround'
          : keeping.state === 'saved'
            ? 'office.accentGround'
            : 'office.hereGround',
        color: wrong ? 'error.main' : 'text.primary',
      }}
    />
  );
}
