import { memo, useCallback, useDeferredValue, useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { Axis, Design, OfficeStandard, Track } from '@mendrel/core';
import { divideCell, EditError, findCell, parametersOf, QuantityError, tryOnValues } from '@mendrel/core';
import { useCommands } from '../../app/commands';
import { useAppDispatch, useAppSelector } from '../../app/store';
import { useTypefaces } from '../../app/typefaces';
import { BenchBar } from './BenchBar';
import { CellDetails } from './CellDetails';
import { Dimensions } from './Dimensions';
import { DivideBar } from './DivideBar';
import type { WorkedDivision } from './dividers';
import { moveDivider, typedTrack, workedDivision } from './dividers';
import { Outline } from './Outline';
import { edited, editDesign, previewed, selectedCell, sizeShown } from './settingOutSlice';
import { SettingOutPaper } from './SettingOutPaper';
import { SizeWall } from './SizeWall';
import { useSolvedSizes } from './useSolved';

// While a divider is dragged the paper follows at once and the size wall when there is time; the rest waits for the drop.
const CalmDetails = memo(CellDetails);
const CalmDivideBar = memo(DivideBar);
const CalmDimensions = memo(Dimensions);
const CalmOutline = memo(Outline);
const CalmWall = memo(SizeWall);
const Bar = memo(BenchBar);

/** Setting-out: the design on its paper, the outline, the details of what is selected, the dimensions, the size wall. */
export function Bench({ id, design, standard }: { id: string; design: Design; standard: OfficeStandard }) {
  const dispatch = useAppDispatch();
  const { selected, size, tryOn, present } = useAppSelector((root) => root.settingOut);
  const { enqueueSnackbar } = useSnackbar();
  const typefaces = useTypefaces();

  const values = useMemo(() => tryOnValues(tryOn, parametersOf(standard)), [tryOn, standard]);
  const solved = useSolvedSizes(design, values, standard, typefaces);
  const shown = solved.find((each) => each.size === size) ?? solved[0];
  const layout = shown && !shown.problem ? shown.layout : undefined;
  const wall = useDeferredValue(solved);
  const calm = useLastOf(
    useMemo(() => ({ design, solved, layout }), [design, solved, layout]),
    design === present,
  );

  const edit = useCallback(
    (change: (current: Design) => Design): void => {
      try {
        dispatch(editDesign(change));
      } catch (error) {
        if (!(error instanceof EditError)) throw error;
        enqueueSnackbar(error.message, { variant: 'warning' });
      }
    },
    [dispatch, enqueueSnackbar],
  );
  const select = useCallback((cell: string) => void dispatch(selectedCell(cell)), [dispatch]);
  const showSize = useCallback((next: string) => void dispatch(sizeShown(next)), [dispatch]);
  const keep = useCallback((next: Design) => void dispatch(edited(next)), [dispatch]);

  const division = layout ? workedDivision(design, layout, selected) : undefined;
  // A drag is measured from where it started, so it works on the division as it was then.
  const from = useSettled(design === present ? division : undefined);
  const at = calm.layout?.cells.find((each) => each.id === selected);
  const place = selected ? findCell(design, selected) : undefined;

  useCommands([
    {
      name: 'Divide the selected cell',
      keys: 'D',
      run: () => document.getElementById('divide-tracks')?.focus(),
    },
  ]);
  const divide = useCallback(
    (axis: Axis, tracks: Track[]): string | undefined => {
      if (selected) dispatch(editDesign((current) => divideCell(current, selected, axis, tracks)));
      return undefined;
    },
    [dispatch, selected],
  );
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
      <Bar id={id} />
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
          <CalmOutline design={calm.design} layout={calm.layout} selected={selected} onSelect={select} />
          <CalmDimensions design={calm.design} solved={calm.solved} onEdit={keep} />
        </Box>
        <Box sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
          {shown && !shown.problem ? (
            <SettingOutPaper
              design={design}
              solved={shown}
              selected={selected}
              division={division}
              onSelect={select}
              onType={typeTrack}
              onDrag={(index, delta) => {
                if (present && from) dispatch(previewed(moveDivider(present, from, index, delta, size)));
              }}
              onDrop={(moved) => {
                if (moved) dispatch(edited(moved));
              }}
              onCancel={() => dispatch(previewed(undefined))}
            />
          ) : (
            <Unsolvable where={shown?.problem.where ?? ''} message={shown?.problem.message ?? ''} />
          )}
          {selected && at && place ? (
            <CalmDivideBar
              key={selected}
              design={calm.design}
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
            <CalmDetails
              key={selected}
              design={calm.design}
              layout={calm.layout}
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
      <CalmWall solved={wall} shown={size} onShow={showSize} />
    </>
  );
}

function Unsolvable({ where, message }: { where: string; message: string }) {
  return (
    <Box role="alert" sx={{ flex: 1, p: 8 }}>
      <Typography sx={{ color: 'error.main', fontWeight: 600 }}>▲ This size cannot be solved: {message}</Typography>
      <Typography sx={{ color: 'text.secondary', mt: 1 }}>
        At {where}. Mend it in the dimensions or the outline, or undo.
      </Typography>
    </Box>
  );
}

/** A value, or while it is not to be shown the last one that was. */
function useLastOf<T>(value: T, show: boolean): T {
  const [kept, setKept] = useState(value);
  if (show && kept !== value) setKept(value);
  return show ? value : kept;
}

/** The last division that was no preview. */
function useSettled(division: WorkedDivision | undefined): WorkedDivision | undefined {
  const [kept, setKept] = useState<WorkedDivision>();
  const settled = division ?? kept;
  const same = settled?.cell === kept?.cell && settled?.lengths.join() === kept?.lengths.join();
  if (!same) setKept(settled);
  return settled;
}
