import { useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { Axis, Design, OfficeStandard, Track, TryOn } from '@mendrel/core';
import { divideCell, EditError, findCell, QuantityError, renameDesign, tryOnValues } from '@mendrel/core';
import { api, errorOf } from '../../app/api';
import { useCommands } from '../../app/commands';
import { PlaceBar, TrailLink } from '../../app/Shell';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { useTypefaces } from '../../app/typefaces';
import { CellDetails } from './CellDetails';
import { Dimensions } from './Dimensions';
import { DivideBar } from './DivideBar';
import { moveDivider, typedTrack, workedDivision } from './dividers';
import { Outline } from './Outline';
import { RenameDesign } from './RenameDesign';
import { SaveConflict } from './SaveConflict';
import {
  edited,
  opened,
  previewed,
  redone,
  savedAs,
  selectedCell,
  sizeShown,
  triedOn,
  undone,
} from './settingOutSlice';
import { SettingOutPaper } from './SettingOutPaper';
import { SizeWall } from './SizeWall';
import { useSolvedSizes } from './useSolved';

const TRY_ON: readonly { key: TryOn; name: string }[] = [
  { key: 'blank', name: 'Blank' },
  { key: 'typical', name: 'Typical' },
  { key: 'longest', name: 'Longest' },
];

/** Setting-out: the design on its paper, the outline, the details of what is selected, the dimensions, the size wall. */
export function Bench({ id, design, standard }: { id: string; design: Design; standard: OfficeStandard }) {
  const dispatch = useAppDispatch();
  const { selected, size, tryOn, past, future, present, saved, version } = useAppSelector((root) => root.settingOut);
  const { enqueueSnackbar } = useSnackbar();
  const navigate = useNavigate();
  const typefaces = useTypefaces();
  const [save, saving] = api.useSaveDesignMutation();
  const [create] = api.useCreateDesignMutation();
  const [load] = api.endpoints.design.useLazyQuery();
  const [conflict, setConflict] = useState(false);
  const [renaming, setRenaming] = useState(false);

  const values = useMemo(() => tryOnValues(tryOn), [tryOn]);
  const solved = useSolvedSizes(design, values, standard, typefaces);
  const shown = solved.find((each) => each.size === size) ?? solved[0];
  const layout = shown && !shown.problem ? shown.layout : undefined;
  const unsaved = present !== saved;

  useEffect(() => {
    if (!unsaved) return;
    const warn = (event: BeforeUnloadEvent): void => event.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [unsaved]);

  const edit = (change: (current: Design) => Design): void => {
    if (!present) return;
    try {
      dispatch(edited(change(present)));
    } catch (error) {
      if (!(error instanceof EditError)) throw error;
      enqueueSnackbar(error.message, { variant: 'warning' });
    }
  };
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
    { name: 'Divide the selected cell', keys: 'D', run: () => document.getElementById('divide-tracks')?.focus() },
    ...TRY_ON.map((each) => ({
      name: `Try on ${each.name.toLowerCase()} values`,
      run: () => void dispatch(triedOn(each.key)),
    })),
    ...design.sizes.map((each, i) => ({
      name: `Show ${each.size}`,
      ...(i < 9 ? { keys: `Shift+${i + 1}` } : {}),
      run: () => void dispatch(sizeShown(each.size)),
    })),
  ]);

  const division = layout ? workedDivision(design, layout, selected) : undefined;
  // A drag is measured from where it started, so it works on the design as it was then.
  const baseDivision = useMemo(
    () => (present && layout ? workedDivision(present, layout, selected) : undefined),
    [present, layout, selected],
  );
  const dragFrom = useDragStart(design === present ? baseDivision : undefined);
  const at = layout?.cells.find((each) => each.id === selected);
  const place = selected ? findCell(design, selected) : undefined;

  const divide = (axis: Axis, tracks: Track[]): string | undefined => {
    if (!present || !selected) return undefined;
    dispatch(edited(divideCell(present, selected, axis, tracks)));
    return undefined;
  };
  const typeTrack = (index: number, text: string): string | undefined => {
    if (!present || !division) return undefined;
    try {
      dispatch(edited(typedTrack(present, division, index, text, size)));
      return undefined;
    } catch (error) {
      if (error instanceof QuantityError) return error.message;
      throw error;
    }
  };

  return (
    <>
      <PlaceBar title={design.name} trail={<TrailLink to="/designs">Designs</TrailLink>}>
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
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>
        <Box
          sx={{
            width: 232,
            flex: 'none',
            overflow: 'auto',
            bgcolor: 'background.paper',
            borderRight: 1,
            borderColor: 'divider',
          }}
        >
          <Outline
            design={design}
            layout={layout}
            selected={selected}
            onSelect={(cell) => dispatch(selectedCell(cell))}
          />
          <Dimensions design={design} solved={solved} onEdit={(next) => dispatch(edited(next))} />
        </Box>
        <Box sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
          {shown && !shown.problem ? (
            <SettingOutPaper
              design={design}
              solved={shown}
              selected={selected}
              division={division}
              onSelect={(cell) => dispatch(selectedCell(cell))}
              onType={typeTrack}
              onDrag={(index, delta) => {
                const from = dragFrom();
                if (present && from) dispatch(previewed(moveDivider(present, from, index, delta, size)));
              }}
              onDrop={(moved) => {
                if (moved) dispatch(edited(moved));
              }}
              onCancel={() => dispatch(previewed(undefined))}
            />
          ) : (
            <Box role="alert" sx={{ flex: 1, p: 8 }}>
              <Typography sx={{ color: 'error.main', fontWeight: 600 }}>
                ▲ This size cannot be solved: {shown?.problem.message}
              </Typography>
              <Typography sx={{ color: 'text.secondary', mt: 1 }}>
                At {shown?.problem.where}. Mend it in the dimensions or the outline, or undo.
              </Typography>
            </Box>
          )}
          {selected && at && place ? (
            <DivideBar
              key={selected}
              design={design}
              cellId={selected}
              width={at.width}
              height={at.height}
              onDivide={divide}
            />
          ) : null}
        </Box>
        <Box
          sx={{
            width: 268,
            flex: 'none',
            overflow: 'auto',
            bgcolor: 'background.paper',
            borderLeft: 1,
            borderColor: 'divider',
          }}
        >
          {selected && place ? (
            <CellDetails
              key={selected}
              design={design}
              layout={layout}
              standard={standard}
              selected={selected}
              onEdit={edit}
            />
          ) : (
            <Typography sx={{ p: 4, color: 'text.secondary' }}>
              Select a cell in the outline or on the paper.
            </Typography>
          )}
        </Box>
      </Box>
      <SizeWall solved={solved} shown={size} onShow={(next) => dispatch(sizeShown(next))} />
      {renaming ? (
        <RenameDesign
          name={design.name}
          onRename={(name) => edit((current) => renameDesign(current, name))}
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

/** Remembers the division that a drag started from, until the next one that is no preview. */
function useDragStart<T>(settled: T | undefined): () => T | undefined {
  const [kept, setKept] = useState<T>();
  if (settled !== undefined && settled !== kept) setKept(settled);
  return () => settled ?? kept;
}
