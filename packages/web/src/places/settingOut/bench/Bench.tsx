import { useCallback, useDeferredValue, useState } from 'react';
import { shallowEqual } from 'react-redux';
import Box from '@mui/material/Box';
import { useSnackbar } from 'notistack';
import type { Cell, Design, Dock, FitRow, Loose, OfficeStandard, TypedDivision, TryOn, Panel } from '@mendrel/core';
import {
  addPanel,
  takePanel,
  divideCell,
  divideIntoGrid,
  EditError,
  findCell,
  idMaker,
  lockDesign,
  setLoose,
} from '@mendrel/core';
import { useAppDispatch, useAppSelector } from '../../../app/store';
import { useTypefaces } from '../../../app/typefaces';
import { CellDetails } from '../details/CellDetails';
import { DesignDetails } from '../details/DesignDetails';
import { Locked } from '../details/Locked';
import { LooseDetails } from '../details/LooseDetails';
import { DOCK_WORDS } from '../details/PanelDetails';
import { SeveralCells } from '../details/SeveralCells';
import { Dimensions } from '../dimensions/Dimensions';
import { Outline } from '../outline/Outline';
import { DivideBar } from '../paper/DivideBar';
import { WorkedPaper } from '../paper/WorkedPaper';
import type { EditScope } from '../settingOutSlice';
import {
  copiedCell,
  edited,
  editDesign,
  scopeChosen,
  selectedCell,
  selectedCells,
  sizeShown,
  toggledCell,
  triedOn as valuesTried,
} from '../settingOutSlice';
import type { Good } from '../../../paper/useSolved';
import { solvedOnce, useLastGood } from '../../../paper/useSolved';
import { DesignReport } from '../wall/DesignReport';
import { SizeWall, WALL_HEIGHT } from '../wall/SizeWall';
import { WhatItTakes } from '../wall/WhatItTakes';
import { BenchBar } from './BenchBar';
import { newLoose } from './newLoose';
import { useBenchCommands } from './useBenchCommands';
import { PanelOfDesign } from './PanelOfDesign';
import { useRealData } from './useRealData';
import { useTried } from './useTried';

/**
 * Setting-out: the design on its paper, the outline, the details of what is selected, the dimensions, the size wall. All of
 * it shows the design as it was last edited; what a drag in progress makes of it only the paper and the wall ask for.
 */
export function Bench({ id, design, standard }: { id: string; design: Design; standard: OfficeStandard }) {
  const dispatch = useAppDispatch();
  const { selection, size, copied, scope } = useAppSelector(
    ({ settingOut: { selection, size, copied, scope } }) => ({ selection, size, copied, scope }),
    shallowEqual,
  );
  const { enqueueSnackbar } = useSnackbar();
  const typefaces = useTypefaces();
  const [asking, setAsking] = useState(false);
  const [reporting, setReporting] = useState(false);

  const data = useRealData();
  const tried = useTried(design, standard);
  const shownSize = design.sizes.some((each) => each.size === size) ? size : (design.sizes[0]?.size ?? size);
  const shown = solvedOnce(design, shownSize, tried, standard, typefaces);
  const layout = useLastGood(shown)?.layout;
  // The paper can be worked on first; what needs every size solved comes right after it.
  const everySize = useDeferredValue(true, false);
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
  const report = useCallback(() => setReporting(true), []);
  const goTo = (row: FitRow, at: string, values: TryOn): void => {
    setReporting(false);
    dispatch(valuesTried(values));
    dispatch(sizeShown(at));
    dispatch(selectedCell(row.cell));
  };
  const addNewPanel = useCallback(
    (dock: Dock) => {
      const width = design.unit === 'mm' ? '80 mm' : '3 in';
      const height = design.unit === 'mm' ? '50 mm' : '2 in';
      edit((now) => {
        const panel = {
          name: DOCK_WORDS[dock].replace(/ edge$/, ' strip'),
          dock,
          ...(dock === 'top' || dock === 'bottom' ? {} : { width }),
          ...(dock === 'left' || dock === 'right' ? {} : { height }),
        };
        const next = addPanel(now, panel, standard);
        const added = next.panels.at(-1);
        if (added) dispatch(selectedCell(added.root.id));
        return next;
      });
    },
    [design.unit, dispatch, edit, standard],
  );
  const addNewLoose = useCallback(
    (kind: Loose['kind']) =>
      edit((now) => {
        const loose = newLoose(kind, idMaker(now)(kind), now, standard);
        dispatch(selectedCell(loose.id));
        return setLoose(now, loose);
      }),
    [dispatch, edit, standard],
  );
  const [taking, setTaking] = useState(false);
  const takeFrom = (from: Design, panel: Panel): void =>
    edit((now) => {
      const next = takePanel(now, from, panel.id);
      const added = next.panels.at(-1);
      if (added) dispatch(selectedCell(added.root.id));
      return next;
    });
  const copy = useCallback(
    (cell: Cell) => {
      dispatch(copiedCell(cell));
      enqueueSnackbar('Copied; select other cells and fill them with it', { variant: 'success' });
    },
    [dispatch, enqueueSnackbar],
  );
  useBenchCommands({ design, standard, selection, copied, scope, edit, select, copy, setScope });

  const at = layout?.cells.find((each) => each.id === selected);
  const place = selected ? findCell(design, selected) : undefined;

  const unlock = useCallback(() => dispatch(editDesign((now) => lockDesign(now, false))), [dispatch]);
  const divide = useCallback(
    ({ columns, rows, gaps }: TypedDivision): void => {
      const one = (current: Design, cell: string): Design =>
        columns && rows
          ? divideIntoGrid(current, cell, columns, rows, gaps)
          : rows
            ? divideCell(current, cell, 'rows', rows, gaps?.rows)
            : divideCell(current, cell, 'columns', columns ?? [], gaps?.columns);
      dispatch(editDesign((current) => selection.reduce(one, current)));
    },
    [dispatch, selection],
  );
  return (
    <>
      {taking ? <PanelOfDesign into={id} onTake={takeFrom} onClose={() => setTaking(false)} /> : null}
      <BenchBar id={id} standard={standard} tried={tried.values} />
      <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>
        <Box
          sx={{ ...SIDE, width: 268, borderRight: 1, borderColor: 'divider', display: 'flex', flexDirection: 'column' }}
        >
          <Box sx={{ flex: 1, minHeight: 120, overflow: 'auto' }}>
            <Outline
              design={design}
              layout={layout}
              selection={selection}
              faulty={shown.problem ? faultyPlace(design, shown.problem.where) : undefined}
              onSelect={pick}
              onSelectMany={select}
              onAddPanel={addNewPanel}
              onAddLoose={addNewLoose}
              onTakePanel={() => setTaking(true)}
            />
          </Box>
          <Box sx={{ flex: 'none', maxHeight: '46%', overflow: 'auto' }}>
            {everySize ? (
              <Locked locked={design.locked ? design.name : undefined} onUnlock={unlock} quiet>
                <Dimensions design={design} tried={tried} standard={standard} onEdit={edit} />
              </Locked>
            ) : null}
          </Box>
        </Box>
        <Box sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column' }}>
          <WorkedPaper
            design={design}
            tried={tried}
            standard={standard}
            size={shownSize}
            scope={scope}
            selection={selection}
            onPick={pick}
            onWindow={select}
          />
          {selected && at && place && !design.locked ? (
            <DivideBar
              key={selected}
              design={design}
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
            <Locked locked={design.locked ? design.name : undefined} onUnlock={unlock}>
              <Selected
                design={design}
                layout={layout}
                standard={standard}
                selection={selection}
                copied={copied}
                size={size}
                onEdit={edit}
              />
            </Locked>
          </Box>
        </Box>
      </Box>
      {everySize ? (
        <SizeWall
          design={design}
          tried={tried}
          standard={standard}
          shown={shownSize}
          scope={scope}
          onShow={showSize}
          onScope={setScope}
          onAskWhatItTakes={ask}
          onReport={report}
        />
      ) : (
        <Box sx={{ height: WALL_HEIGHT, flex: 'none', bgcolor: 'office.soft', borderTop: 1, borderColor: 'divider' }} />
      )}
      {reporting ? (
        <DesignReport
          design={design}
          standard={standard}
          typefaces={typefaces}
          real={data}
          onGo={goTo}
          onGoToCell={(cell) => {
            setReporting(false);
            dispatch(selectedCell(cell));
          }}
          onClose={() => setReporting(false)}
        />
      ) : null}
      {asking ? (
        <WhatItTakes
          design={design}
          tried={tried}
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
    return <SeveralCells design={design} standard={standard} selection={there} copied={copied} onEdit={onEdit} />;
  }
  const selected = selection.at(-1);
  const loose = design.loose?.find((each) => each.id === selected);
  if (loose) return <LooseDetails key={loose.id} design={design} standard={standard} loose={loose} onEdit={onEdit} />;
  const cell = there[0];
  if (cell === undefined)
    return <DesignDetails design={design} layout={layout} standard={standard} size={size} onEdit={onEdit} />;
  return <CellDetails key={cell} design={design} layout={layout} standard={standard} selected={cell} onEdit={onEdit} />;
}

/** The cell, panel or free item that a place in the document's own words begins with. */
function faultyPlace(design: Design, where: string): string | undefined {
  const id = where.split('.')[0] ?? '';
  if (findCell(design, id) || design.loose?.some((each) => each.id === id)) return id;
  return design.panels.find((panel) => panel.id === id)?.root.id;
}
