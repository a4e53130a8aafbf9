import { useMemo, useState } from 'react';
import { dequal } from 'dequal/lite';
import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { Project } from '@mendrel/contract';
import type { LetteringOfViews, View, WorkingUnit } from '@mendrel/core';
import {
  alignedViews,
  arrangedViews,
  distributedViews,
  freeModule,
  moduleAt,
  moduleName,
  modulePicked,
  unmoved,
  whyNoRoom,
} from '@mendrel/core';
import { sheetApi } from '../../../app/sheetApi';
import { useTypefaces } from '../../../app/typefaces';
import { ModuleGridLines } from '../../../paper/ModuleGridLines';
import { Paper } from '../../../paper/Paper';
import type { DrawnSheet, ProjectSheet } from '../sheetDrawings';
import { carried, carries } from './carried';
import { ChooseDrawing } from './ChooseDrawing';
import type { Chosen } from './chosenWindow';
import { newViewOf, scalesFor, shownIn, worksIn } from './chosenWindow';
import { onPaper } from './lengthWords';
import { LineUp } from './LineUp';
import { OutlinesBefore } from './OutlinesBefore';
import { OverSheets } from './overSheets/OverSheets';
import { nudged, nudgeOf, placesOver, settled } from './placing';
import { PlacedViewMark } from './PlacedViewMark';
import { useViewChanges } from './useViewChanges';
import { SheetViews } from './SheetViews';
import { Tray } from './Tray';
import { waitingViews } from './waitingViews';
import type { WaitingView } from './waitingViews';
import { asPartOf, wholesOf } from './wholes';

interface Props {
  project: Project;
  sheets: readonly ProjectSheet[];
  current: DrawnSheet;
  /** The same sheet with what it is drawn from. */
  of: ProjectSheet;
  scales: readonly string[];
  unit: WorkingUnit;
  /** What drawings of views are lettered in. */
  lettering: LetteringOfViews;
  /** The unit that the sheet's size is given in. */
  sizeUnit: WorkingUnit;
  onFlip: (by: 1 | -1) => void;
}

const NONE: readonly View[] = [];
const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
/** How near another place pulls a view that is dragged, in pixels. */
const PULL = 10;

/** A sheet with its module grid, and everything that can be done with its views. */
export function SheetToArrange({
  project,
  sheets,
  current,
  of,
  scales: all,
  unit,
  lettering,
  sizeUnit,
  onFlip,
}: Props) {
  const { sheet, grid, placed, drawing } = current;
  const typefaces = useTypefaces();
  const works = worksIn(
    sheet.views,
    sheets.flatMap((each) => each.sheet.views),
    [sizeUnit, unit],
  );
  const scales = scalesFor(all, works);
  // The view whose drawing is chosen; null for a new one.
  const [choosing, setChoosing] = useState<View | null>();
  const [overSheets, setOverSheets] = useState(false);
  const [before, setBefore] = useState(false);
  const [wanted, setSelected] = useState<readonly string[]>([]);
  const there = wanted.filter((id) => sheet.views.some((view) => view.id === id));
  const selected = there.length > 0 ? there : sheet.views.slice(0, 1).map(({ id }) => id);
  const { enqueueSnackbar } = useSnackbar();
  const { keep, setView, keepWithUndo, keepChanges, bring, intoTray, putIntoTray, removeFromTray } = useViewChanges(
    project.id,
    sheet,
  );
  const over = useMemo(() => placesOver(of, sheets, typefaces), [of, sheets, typefaces]);
  const view = sheet.views.find((each) => each.id === selected[0]);
  const chosen = selected.flatMap((id) => placed.find((each) => each.view.id === id) ?? []);
  const step = nudgeOf(unit);
  const allSheets = useMemo(() => sheets.map((each) => each.sheet), [sheets]);

  const { data: tray = NONE } = sheetApi.useTrayQuery(project.id);
  const waiting = useMemo(() => waitingViews(tray, allSheets, sheet.id), [tray, allSheets, sheet.id]);
  const bringHere = async (each: WaitingView, module: string | null): Promise<void> => {
    const id = await bring(each, module);
    if (id !== undefined) setSelected([id]);
  };

  const select = (id: string, add: boolean): void =>
    setSelected(!add ? [id] : selected.includes(id) ? selected.filter((each) => each !== id) : [...selected, id]);
  /** Shows what was chosen, in a view that keeps its place and its scale; a new one gets those that are best. */
  const show = async (shown: Chosen): Promise<void> => {
    let kept: boolean;
    if (choosing) kept = await setView(shownIn(choosing, shown));
    else {
      const added = newViewOf(shown, scales, grid);
      const module = freeModule(added, sheet.views, grid) ?? null;
      kept = await keep([...sheet.views, { ...added, module }]);
      if (kept) setSelected([added.id]);
    }
    // What was refused stays open, as it was chosen.
    if (kept) setChoosing(undefined);
  };
  const arrangeAll = async (): Promise<void> => {
    const arranged = arrangedViews(sheet.views, grid);
    const waiting = arranged.filter(({ module }) => module === null).map(({ name }) => name);
    await keepWithUndo(
      arranged,
      waiting.length === 0 ? 'All views stand in free modules' : `No room for ${waiting.join(', ')}`,
      waiting.length > 0,
    );
  };
  /** Several views where they were moved to; the others as they are. */
  const replace = (views: readonly View[], words: string): void => {
    const moved = new Map(views.map((each) => [each.id, each]));
    const next = sheet.views.map((each) => (each.locked ? each : (moved.get(each.id) ?? each)));
    void keepWithUndo(next, words, false);
  };
  const isLocked = (one: View): boolean => {
    if (one.locked) enqueueSnackbar(`${one.name} is locked. Unlock it to move it.`, { variant: 'warning' });
    return one.locked ?? false;
  };
  const place = (column: number, row: number): void => {
    if (!view || isLocked(view) || column < 0 || row < 0 || column >= grid.columns || row >= grid.rows) return;
    void setView({ ...unmoved(view), module: moduleName(column, row) });
  };
  const keys = (event: React.KeyboardEvent): void => {
    if (event.target !== event.currentTarget) return;
    if (event.key === 'PageDown' || event.key === 'PageUp') {
      event.preventDefault();
      onFlip(event.key === 'PageDown' ? 1 : -1);
      return;
    }
    const by = STEPS[event.key];
    const at = view?.module ? moduleAt(view.module, grid) : undefined;
    if (!view || !by) return;
    event.preventDefault();
    const standing = placed.find((each) => each.view.id === view.id);
    if (event.altKey && standing) {
      const much = step * (event.shiftKey ? 10 : 1);
      if (!isLocked(view)) void setView(nudged(standing, { x: by[0] * much, y: by[1] * much }, grid));
    } else if (at) place(at.column + by[0], at.row + by[1]);
  };
  return (
    <>
      <Paper
        drawing={drawing}
        unit={unit}
        label={`${sheet.number} ${sheet.title}. Arrow keys move the selected view by modules, with Alt by ${onPaper(step, unit)} ${unit}. Page Up and Page Down go to other sheets of this kind`}
        onPick={(point) => {
          const at = modulePicked(point, grid);
          if (at) place(at.column, at.row);
        }}
        drop={{
          takes: carries,
          onDrop: (data, point) => {
            const dropped = carried(data);
            const at = modulePicked(point, grid);
            if (!dropped || !at) return;
            const module = moduleName(at.column, at.row);
            const other = waiting.find(
              ({ view: each, from }) => each.id === dropped.view && (from?.id ?? '') === dropped.sheet,
            );
            if (other) void bringHere(other, module);
            else if (dropped.sheet === sheet.id)
              void keep(sheet.views.map((each) => (each.id === dropped.view ? { ...unmoved(each), module } : each)));
          },
        }}
        onKeyDown={keys}
        under={
          <>
            <ModuleGridLines grid={grid} paperHeight={drawing.height} />
            {before ? <OutlinesBefore current={of} sheets={sheets} paperHeight={drawing.height} /> : null}
          </>
        }
        over={(pixel) =>
          placed.map((each) => (
            <PlacedViewMark
              key={each.view.id}
              placed={each}
              piece={drawing.items.find((item) => item.kind === 'piece' && item.x === each.x && item.y === each.y)}
              paperHeight={drawing.height}
              selected={selected.includes(each.view.id)}
              pixel={pixel}
              unit={unit}
              onSelect={(add) => select(each.view.id, add)}
              settle={
                each.view.locked
                  ? undefined
                  : (rect, free) => settled(each.view, rect, { grid, over, free, step, pull: PULL * pixel })
              }
              onDrop={(target) => {
                setSelected([each.view.id]);
                if (!dequal(target.view, each.view)) void setView(target.view);
              }}
            />
          ))
        }
      />
      <Box
        sx={{
          width: 292,
          flex: 'none',
          overflow: 'auto',
          bgcolor: 'background.paper',
          borderLeft: 1,
          borderColor: 'divider',
          p: 4,
        }}
      >
        <Typography variant="h2" component="h2">
          {sheet.number} {sheet.title}
        </Typography>
        <Typography sx={{ color: 'text.secondary', mt: 1, mb: 3 }}>
          Scale on this sheet: <b>{current.values['sheet.scale'] || 'blank, no view is placed'}</b>. {grid.columns} ×{' '}
          {grid.rows} modules of {onPaper(grid.moduleWidth, unit)} × {onPaper(grid.moduleHeight, unit)} {unit}.
        </Typography>
        {chosen.length > 1 ? (
          <LineUp
            count={chosen.length}
            first={chosen[0]!.view.name}
            onAlign={(by) => replace(alignedViews(chosen, by, grid), 'Lined up')}
            onDistribute={(way) => replace(distributedViews(chosen, way, grid), 'Equal room between them')}
          />
        ) : null}
        <SheetViews
          sheet={sheet}
          grid={grid}
          findings={current.findings.filter((each) => each.where.view !== undefined)}
          scales={scales}
          unit={unit}
          over={over}
          selected={selected}
          onSelect={select}
          wholesOf={(each) => wholesOf(each, allSheets)}
          onPartOf={(each, whole) =>
            void keepChanges(
              asPartOf(each, sheet, whole, allSheets),
              whole === '' ? `${each.name} is a part of nothing` : `${each.name} is marked where it is a part of`,
            )
          }
          onChange={setView}
          onAdd={async (added) => {
            if (await keep([...sheet.views, added])) setSelected([added.id]);
          }}
          onChooseDrawing={(each) => setChoosing(each ?? null)}
          onRemove={(id) => {
            const removed = sheet.views.find((each) => each.id === id);
            const left = sheet.views.filter((each) => each.id !== id);
            if (removed) void keepWithUndo(left, `${removed.name} removed`, false);
          }}
          onIntoTray={(each) => void intoTray(each)}
          onArrange={() => void arrangeAll()}
          onArrangeSheets={() => setOverSheets(true)}
          onPlace={(each) => {
            const module = freeModule(each, sheet.views, grid);
            if (module) void setView({ ...unmoved(each), module });
            else enqueueSnackbar(whyNoRoom(each, sheet.views, grid, unit), { variant: 'warning' });
          }}
        />
        <FormControlLabel
          sx={{ mt: 3 }}
          control={<Checkbox size="small" checked={before} onChange={({ target }) => setBefore(target.checked)} />}
          label="Outlines of the sheet of its kind before it"
        />
        <Tray
          waiting={waiting}
          onBring={(each) => void bringHere(each, freeModule(each.view, sheet.views, grid) ?? null)}
          onRemove={(each) => void removeFromTray(each)}
        />
      </Box>
      {overSheets ? (
        <OverSheets
          project={project}
          sheets={sheets}
          like={sheet}
          scales={scales}
          onClose={() => setOverSheets(false)}
        />
      ) : null}
      {choosing === undefined ? null : (
        <ChooseDrawing
          projectId={project.id}
          view={choosing ?? undefined}
          grid={grid}
          unit={unit}
          works={works}
          scales={scales}
          lettering={lettering}
          pens={of.source.standard.pens}
          onChoose={(each) => void show(each)}
          onTray={(some) => void putIntoTray(some.map((each) => newViewOf(each, scales, grid)))}
          onClose={() => setChoosing(undefined)}
        />
      )}
    </>
  );
}
