import { useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import { useSnackbar } from 'notistack';
import type { Design, OfficeStandard, Values } from '@mendrel/core';
import { EditError, QuantityError } from '@mendrel/core';
import { useAppDispatch, useAppSelector } from '../../../app/store';
import { useTypefaces } from '../../../app/typefaces';
import type { EditScope } from '../settingOutSlice';
import { dropped, edited, previewed } from '../settingOutSlice';
import { solvedOnce, useLastGood } from '../useSolved';
import type { Snapping, WorkedDivision } from './dividers';
import { countsFor, moveDivider, typedTrack, workedDivisions } from './dividers';
import { SettingOutPaper } from './SettingOutPaper';

interface Props {
  /** The design as it was last edited. */
  design: Design;
  values: Values;
  standard: OfficeStandard;
  size: string;
  scope: EditScope;
  selection: readonly string[];
  onPick: (cell: string | undefined, add: boolean) => void;
  onWindow: (cells: string[]) => void;
}

/** The design on the paper of one size, with a drag in progress, and what typing and dragging there does to it. */
export function WorkedPaper({ design, values, standard, size, scope, selection, onPick, onWindow }: Props) {
  const dispatch = useAppDispatch();
  const preview = useAppSelector((root) => root.settingOut.preview);
  const { enqueueSnackbar } = useSnackbar();
  const typefaces = useTypefaces();
  const live = preview ?? design;
  const shown = useMemo(
    () => solvedOnce(live, size, values, standard, typefaces),
    [live, size, values, standard, typefaces],
  );
  const good = useLastGood(shown);
  const divisions = good ? workedDivisions(live, good.layout, selection.at(-1)) : [];
  // A drag is measured from where it started, so it works on the division as it was then.
  const from = useSettled(divisions, preview === undefined);
  const typeTrack = (division: WorkedDivision, index: number, text: string): string | undefined => {
    try {
      dispatch(edited(typedTrack(design, division, index, text, size, scope)));
      return undefined;
    } catch (error) {
      if (error instanceof QuantityError || error instanceof EditError) return error.message;
      throw error;
    }
  };
  const drag = (division: WorkedDivision, index: number, delta: number, snapping: Snapping): void => {
    const start = from.find((each) => each.axis === division.axis);
    if (!start) return;
    try {
      dispatch(previewed(moveDivider(design, start, index, delta, size, scope, snapping)));
    } catch (error) {
      if (!(error instanceof EditError)) throw error;
      enqueueSnackbar(error.message, { variant: 'warning', preventDuplicate: true });
    }
  };
  return (
    <>
      {shown.problem ? <Unsolvable {...shown.problem} kept={good !== undefined} /> : null}
      {good ? (
        <SettingOutPaper
          design={live}
          solved={good}
          settled={preview === undefined}
          selection={selection}
          divisions={divisions}
          onPick={onPick}
          onWindow={onWindow}
          countsFor={(division, index) => countsFor(live, division.cell.division?.[division.axis][index], size, scope)}
          onType={typeTrack}
          onDrag={drag}
          onDrop={() => dispatch(dropped())}
          onCancel={() => dispatch(previewed(undefined))}
        />
      ) : (
        <Box sx={{ flex: 1 }} />
      )}
    </>
  );
}

/** Said over the paper while the design cannot be solved; the paper keeps showing the last solution. */
function Unsolvable({ where, message, kept }: { where: string; message: string; kept: boolean }) {
  return (
    <Box role="alert" sx={{ px: 4, py: 2, bgcolor: 'office.spillsGround', fontSize: '0.8125rem' }}>
      <Box component="span" sx={{ color: 'error.main', fontWeight: 600 }}>
        ▲ This cannot be solved: {message}
      </Box>
      <Box sx={{ color: 'text.primary' }}>
        {where ? `At ${where}. ` : ''}
        {kept ? 'The paper shows it as it was last. ' : ''}The draft is kept; mend the formula or undo.
      </Box>
    </Box>
  );
}

/** The last divisions that were no preview. */
function useSettled(divisions: readonly WorkedDivision[], settled: boolean): readonly WorkedDivision[] {
  const [kept, setKept] = useState(divisions);
  const key = (list: readonly WorkedDivision[]): string =>
    list.map((each) => `${each.axis} ${each.lengths.join()}`).join();
  const same = kept[0]?.cell === divisions[0]?.cell && key(kept) === key(divisions);
  if (settled && !same) setKept(divisions);
  return settled ? divisions : kept;
}
