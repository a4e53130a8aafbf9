import { memo, useCallback, useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import { useSnackbar } from 'notistack';
import type { Cell, Design, Dock, Loose, OfficeStandard, Track } from '@mendrel/core';
import {
  addPanel,
  divideCell,
  divideIntoGrid,
  EditError,
  findCell,
  idMaker,
  parametersOf,
  QuantityError,
  setLoose,
  tryOnValues,
} from '@mendrel/core';
import { useAppDispatch, useAppSelector } from '../../../app/store';
import { useTypefaces } from '../../../app/typefaces';
import { CellDetails } from '../details/CellDetails';
import { DesignDetails } from '../details/DesignDetails';
import { LooseDetails } from '../details/LooseDetails';
import { DOCK_WORDS } from '../details/PanelDetails';
import { SeveralCells } from '../details/SeveralCells';
import { Dimensions } from '../dimensions/Dimensions';
import { Outline } from '../outline/Outline';
import { DivideBar } from '../paper/DivideBar';
import type { WorkedDivision } from '../paper/dividers';
import { countsFor, moveDivider, typedTrack, workedDivisions } from '../paper/dividers';
import { SettingOutPaper } from '../paper/SettingOutPaper';
import type { EditScope } from '../settingOutSlice';
import {
  copiedCell,
  edited,
  editDesign,
  previewed,
  scopeChosen,
  selectedCell,
  selectedCells,
  sizeShown,
  toggledCell,
} from '../settingOutSlice';
import type { Solved } from '../useSolved';
import { solvedOnce, useSolvedSizes } from '../useSolved';
import { SizeWall } from '../wall/SizeWall';
import { WhatItTakes } from '../wall/WhatItTakes';
import { BenchBar } from './BenchBar';
import { newLoose } from './newLoose';
import { useBenchCommands } from './useBenchCommands';

// While a divider is dragged the paper follows at once and the size wall when there is time; the rest waits for the drop.
const CalmCell = memo(CellDetails);
const CalmSeveral = memo(SeveralCells);
const CalmLoose = memo(LooseDetails);
const CalmDesign = memo(DesignDetails);
const CalmDivideBar = memo(DivideBar);
const CalmDimensions = memo(Dimensions);
const CalmOutline = memo(Outline);
const CalmWall = memo(SizeWall);
const Bar = memo(BenchBar);

type Good = Extract<Solved, { problem?: undefined }>;

/** Setting-out: the design on its paper, the outline, the details of what is selected, the dimensions, the size wall. */
export function Bench({ id, design, standard }: { id: string; design: Design; standard: OfficeStandard }) {
  const dispatch = useAppDispatch();
  const { selection, size, tryOn, present, copied, scope } = useAppSelector((root) => root.settingOut);
  const { enqueueSnackbar } = useSnackbar();
  const typefaces = useTypefaces();
  const [asking, setAsking] = useState(false);

  const values = useMemo(() => tryOnValues(tryOn, parametersOf(standard)), [tryOn, standard]);
  // All sizes of what is kept; of a drag in progress only the one that is shown, and the wall's in turns.
  const settledDesign = present ?? design;
  const solved = useSolvedSizes(settledDesign, values, standard, typefaces);
  const shownSize = design.sizes.some((each) => each.size === size) ? size : (design.sizes[0]?.size ?? size);
  const shown = useMemo(
    () => solvedOnce(design, shownSize, values, standard, typefaces),
    [design, shownSize, values, standard, typefaces],
  );
  const good = useLastGood(shown);
  const layout = good?.layout;
  const calm = useLastOf(
    useMemo(() => ({ design, solved, layout }), [design, solved, layout]),
    design === present,
  );
  const selected = selection.at(-1);

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
  const pick = useCallback(
    (cell: string | undefined, add: boolean) =>
      void dispatch(add && cell !== undefined ? toggledCell(cell) : selectedCell(cell)),
    [dispatch],
  );
  const select = useCallback((ids: readonly string[]) => void dispatch(selectedCells(ids)), [dispatch]);
  const showSize = useCallback((next: string) => void dispatch(sizeShown(next)), [dispatch]);
  const setScope = useCallback((next: EditScope) => void dispatch(scopeChosen(next)), [dispatch]);
  const ask = useCallback(() => setAsking(true), []);
  const addNewPanel = useCallback(
    (dock: Dock) => {
      const width = design.unit === 'mm' ? '80 mm' : '3 in';
      const height = design.unit === 'mm' ? '50 mm' : '2 in';
      edit((now) => {
        const next = addPanel(now, {
          name: DOCK_WORDS[dock].replace(/ edge$/, ' strip'),
          dock,
          ...(dock === 'top' || dock === 'bottom' ? {} : { width }),
          ...(dock === 'left' || dock === 'right' ? {} : { height }),
        });
        const added = next.panels.at(-1);
        if (added) dispatch(selectedCell(added.root.id));
        return next;
      });
    },
    [design.unit, dispatch, edit],
  );
  const addNewLoose = useCallback(
    (kind: Loose['kind']) =>
      edit((now) => {
        const loose = newLoose(kind, idMaker(now)(kind), now);
        dispatch(selectedCell(loose.id));
        return setLoose(now, loose);
      }),
    [dispatch, edit],
  );
  const copy = useCallback(
    (cell: Cell) => {
      dispatch(copiedCell(cell));
      enqueueSnackbar('Copied; select other cells and fill them with it', { variant: 'success' });
    },
    [dispatch, enqueueSnackbar],
  );
  useBenchCommands({ design, selection, copied, scope, edit, select, copy, setScope });

  const divisions = layout ? workedDivisions(design, layout, selected) : [];
  // A drag is measured from where it started, so it works on the division as it was then.
  const from = useSettled(divisions, design === present);
  const at = calm.layout?.cells.find((each) => each.id === selected);
  const place = selected ? findCell(design, selected) : undefined;

  const divide = useCallback(
    ({ columns, rows }: { columns?: Track[]; rows?: Track[] }): void => {
      const one = (current: Design, cell: string): Design =>
        columns && rows
          ? divideIntoGrid(current, cell, columns, rows)
          : divideCell(current, cell, rows ? 'rows' : 'columns', rows ?? columns ?? []);
      dispatch(editDesign((current) => selection.reduce(one, current)));
    },
    [dispatch, selection],
  );
  const typeTrack = (division: WorkedDivision, index: number, text: string): string | undefined => {
    if (!present) return undefined;
    try {
      dispatch(edited(typedTrack(present, division, index, text, size, scope)));
      return undefined;
    } catch (error) {
      if (error instanceof QuantityError || error instanceof EditError) return error.message;
      throw error;
    }
  };

  return (
    <>
      <Bar id={id} standard={standard} />
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>
        <Box
          sx={{ ...SIDE, width: 232, borderRight: 1, borderColor: 'divider', display: 'flex', flexDirection: 'column' }}
        >
          <Box sx={{ flex: 1, minHeight: 120, overflow: 'auto' }}>
            <CalmOutline
              design={calm.design}
              layout={calm.layout}
              selection={selection}
              faulty={shown.problem ? faultyPlace(design, shown.problem.where) : undefined}
              onSelect={pick}
              onSelectMany={select}
              onAddPanel={addNewPanel}
              onAddLoose={addNewLoose}
            />
          </Box>
          <Box sx={{ flex: 'none', maxHeight: '46%', overflow: 'auto' }}>
            <CalmDimensions design={calm.design} solved={calm.solved} onEdit={edit} />
          </Box>
        </Box>
        <Box sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
          {shown.problem ? <Unsolvable {...shown.problem} kept={good !== undefined} /> : null}
          {good ? (
            <SettingOutPaper
              design={design}
              solved={good}
              selection={selection}
              divisions={divisions}
              onPick={pick}
              onWindow={select}
              countsFor={(division, index) =>
                countsFor(design, division.cell.division?.[division.axis][index], size, scope)
              }
              onType={typeTrack}
              onDrag={(division, index, delta, snapping) => {
                const start = from.find((each) => each.axis === division.axis);
                if (!present || !start) return;
                try {
                  dispatch(previewed(moveDivider(present, start, index, delta, size, scope, snapping)));
                } catch (error) {
                  if (!(error instanceof EditError)) throw error;
                  enqueueSnackbar(error.message, { variant: 'warning', preventDuplicate: true });
                }
              }}
              onDrop={(moved) => {
                if (moved) dispatch(edited(moved));
              }}
              onCancel={() => dispatch(previewed(undefined))}
            />
          ) : (
            <Box sx={{ flex: 1 }} />
          )}
          {selected && at && place ? (
            <CalmDivideBar
              key={selected}
              design={calm.design}
              cellId={selected}
              width={at.width}
              height={at.height}
              cells={selection.length}
              onDivide={divide}
            />
          ) : null}
        </Box>
        <Box sx={{ ...SIDE, width: 268, borderLeft: 1, borderColor: 'divider', overflow: 'auto' }}>
          <Box sx={{ p: 3.5, display: 'flex', flexDirection: 'column', gap: 4 }}>
            <Selected
              design={calm.design}
              layout={calm.layout}
              standard={standard}
              selection={selection}
              copied={copied}
              size={size}
              onEdit={edit}
            />
          </Box>
        </Box>
      </Box>
      <CalmWall
        design={design}
        values={values}
        standard={standard}
        shown={shownSize}
        scope={scope}
        onShow={showSize}
        onScope={setScope}
        onAskWhatItTakes={ask}
      />
      {asking ? (
        <WhatItTakes
          design={design}
          values={values}
          standard={standard}
          typefaces={typefaces}
          onApply={(next) => dispatch(edited(next))}
          onClose={() => setAsking(false)}
        />
      ) : null}
    </>
  );
}

const SIDE = { flex: 'none', bgcolor: 'background.paper' } as const;

interface SelectedProps {
  design: Design;
  layout: Good['layout'] | undefined;
  standard: OfficeStandard;
  selection: readonly string[];
  copied: Cell | undefined;
  size: string;
  onEdit: (edit: (design: Design) => Design) => void;
}

/** The details of what is selected: one cell or panel, several cells, something loose, or else the whole design. */
function Selected({ design, layout, standard, selection, copied, size, onEdit }: SelectedProps) {
  const there = selection.filter((each) => findCell(design, each));
  if (there.length > 1) {
    return <CalmSeveral design={design} standard={standard} selection={there} copied={copied} onEdit={onEdit} />;
  }
  const selected = selection.at(-1);
  const loose = design.loose?.find((each) => each.id === selected);
  if (loose) return <CalmLoose key={loose.id} design={design} standard={standard} loose={loose} onEdit={onEdit} />;
  const cell = there[0];
  if (cell === undefined) return <CalmDesign design={design} standard={standard} size={size} onEdit={onEdit} />;
  return <CalmCell key={cell} design={design} layout={layout} standard={standard} selected={cell} onEdit={onEdit} />;
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

/** The cell, panel or free item that a place in the document's own words begins with. */
function faultyPlace(design: Design, where: string): string | undefined {
  const id = where.split('.')[0] ?? '';
  if (findCell(design, id) || design.loose?.some((each) => each.id === id)) return id;
  return design.panels.find((panel) => panel.id === id)?.root.id;
}

/** The last solution there was of the size shown. */
function useLastGood(shown: Solved): Good | undefined {
  const now = shown.problem ? undefined : shown;
  const [kept, setKept] = useState<Good>();
  if (now && kept !== now) setKept(now);
  return now ?? (kept?.size === shown.size ? kept : undefined);
}

/** A value, or while it is not to be shown the last one that was. */
function useLastOf<T>(value: T, show: boolean): T {
  const [kept, setKept] = useState(value);
  if (show && kept !== value) setKept(value);
  return show ? value : kept;
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
