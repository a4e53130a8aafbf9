import Box from '@mui/material/Box';
import { useSnackbar } from 'notistack';
import type { Design, OfficeStandard, TriedOn } from '@mendrel/core';
import { EditError, QuantityError } from '@mendrel/core';
import { useAppDispatch, useAppSelector } from '../../../app/store';
import { useTypefaces } from '../../../app/typefaces';
import type { EditScope } from '../settingOutSlice';
import { dropped, edited, previewed } from '../settingOutSlice';
import { solvedOnce, useLastGood } from '../../../paper/useSolved';
import type { WorkedDivision } from './dividers';
import { countsFor, moveDivider, typedTrack, workedDivisions } from './dividers';
import { DraggedPaper } from './DraggedPaper';
import { SettingOutPaper } from './SettingOutPaper';
import type { DividerMove } from './TrackEdge';
import { Sign } from '../../../app/FindingMark';

interface Props {
  /** The design as it was last edited. */
  design: Design;
  tried: TriedOn;
  standard: OfficeStandard;
  size: string;
  scope: EditScope;
  selection: readonly string[];
  onPick: (cell: string | undefined, add: boolean) => void;
  onWindow: (cells: string[]) => void;
}

/** The design on the paper of one size, with a drag in progress, and what typing and dragging there does to it. */
export function WorkedPaper({ design, tried, standard, size, scope, selection, onPick, onWindow }: Props) {
  const dispatch = useAppDispatch();
  // It changes with the beginning and the end of a drag; the steps between are followed by what is painted.
  const dragging = useAppSelector(({ settingOut }) => settingOut.preview?.held !== undefined);
  const { enqueueSnackbar } = useSnackbar();
  const typefaces = useTypefaces();
  const shown = solvedOnce(design, size, tried, standard, typefaces);
  const good = useLastGood(shown);
  const divisions = good && !design.locked ? workedDivisions(design, good.layout, selection.at(-1)) : [];
  const typeTrack = (division: WorkedDivision, index: number, text: string): string | undefined => {
    try {
      dispatch(edited(typedTrack(design, division, index, text, size, scope)));
      return undefined;
    } catch (error) {
      if (error instanceof QuantityError || error instanceof EditError) return error.message;
      throw error;
    }
  };
  // A drag is measured from where it started, and the division stays what it was then until it is dropped.
  const drag = (division: WorkedDivision, index: number, { mm, snapping, pointer }: DividerMove): void => {
    try {
      const moved = moveDivider(design, division, index, mm, size, scope, snapping);
      dispatch(previewed({ design: moved, ...(pointer ? { held: { axis: division.axis, index, ...pointer } } : {}) }));
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
          design={design}
          solved={good}
          selection={selection}
          divisions={divisions}
          dragged={
            dragging
              ? (view) => (
                  <DraggedPaper
                    view={view}
                    before={good}
                    tried={tried}
                    standard={standard}
                    scope={scope}
                    selection={selection}
                  />
                )
              : undefined
          }
          onPick={onPick}
          onWindow={onWindow}
          countsFor={(division, index) =>
            countsFor(design, division.cell.division?.[division.axis][index], size, scope)
          }
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
        <Sign weight="error" /> This cannot be solved: {message}
      </Box>
      <Box sx={{ color: 'text.primary' }}>
        {where ? `At ${where}. ` : ''}
        {kept ? 'The paper shows it as it was last. ' : ''}The draft is kept; fix the formula or undo.
      </Box>
    </Box>
  );
}
