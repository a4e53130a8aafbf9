import { useState } from 'react';
import Box from '@mui/material/Box';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import ListItemText from '@mui/material/ListItemText';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { Project } from '@mendrel/contract';
import type { View, WorkingUnit } from '@mendrel/core';
import {
  arrangedViews,
  freeModule,
  inWords,
  moduleAt,
  moduleName,
  moduleNear,
  modulePicked,
  sheetScale,
  sizesOf,
  whyNoRoom,
} from '@mendrel/core';
import { errorOf } from '../../../app/api';
import { newUuid } from '../../../app/newUuid';
import { sheetApi } from '../../../app/sheetApi';
import { Pages } from '../../../app/Pages';
import { Empty } from '../../../app/states';
import { UndoButton } from '../../../app/UndoButton';
import { Paper } from '../../../paper/Paper';
import { ModuleGridLines } from './ModuleGridLines';
import type { DrawnSheet, ProjectSheet } from '../sheetDrawings';
import { useDrawn } from '../sheetDrawings';
import { ChooseDrawing } from './ChooseDrawing';
import type { Chosen } from './chosenWindow';
import { largestScale, nameOf, scalesFor, shownIn, worksIn } from './chosenWindow';
import { onPaper } from './lengthWords';
import { OverSheets } from './overSheets/OverSheets';
import { PlacedViewMark } from './PlacedViewMark';
import { ViewTray } from './ViewTray';
import { Sign } from '../../../app/FindingMark';

interface Props {
  project: Project;
  sheets: readonly ProjectSheet[];
  scales: readonly string[];
}

/** Sheets listed at a time. */
const PAGE = 100;

/** Arrange: a sheet with its module grid, and the views to stand in it. */
export function Arrange({ project, sheets, scales }: Props) {
  const [chosen, setChosen] = useState<string>();
  const first = sheets.findIndex(({ sheet }) => sheet.views.length > 0);
  const [page, setPage] = useState(Math.max(0, Math.floor(first / PAGE)));
  const current = sheets.find((each) => each.sheet.id === chosen) ?? sheets[Math.max(0, first)];
  if (!current)
    return (
      <Empty title="Nothing to arrange yet">
        The project needs a design and at least one sheet; add them under Data and Register.
      </Empty>
    );
  return (
    <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>
      <Box
        component="nav"
        aria-label="Sheets"
        sx={{
          width: 190,
          flex: 'none',
          overflow: 'auto',
          bgcolor: 'background.paper',
          borderRight: 1,
          borderColor: 'divider',
        }}
      >
        <List component="div" dense disablePadding>
          {sheets.slice(page * PAGE, (page + 1) * PAGE).map(({ sheet, source }) => (
            <ListItemButton
              key={sheet.id}
              selected={sheet.id === current.sheet.id}
              onClick={() => setChosen(sheet.id)}
              aria-current={sheet.id === current.sheet.id}
            >
              <ListItemText
                primary={`${sheet.number}  ${sheetScale(sheet.views, source.standard.wording)}`.trimEnd()}
                secondary={sheet.title}
                slotProps={{
                  primary: { sx: { fontWeight: 600, fontSize: '0.8125rem' } },
                  secondary: { noWrap: true, sx: { fontSize: '0.75rem' } },
                }}
              />
            </ListItemButton>
          ))}
        </List>
        <Pages of="sheets" page={page} size={PAGE} count={sheets.length} onPage={setPage} />
      </Box>
      <CurrentSheet
        key={current.sheet.id}
        project={project}
        sheets={sheets}
        current={current}
        scales={scales}
        unit={current.source.design.unit}
        typeface={current.source.standard.roles.find(({ use }) => use === 'value')?.typeface ?? ''}
        sizeUnit={
          sizesOf(current.source.standard).find(({ name }) => name === current.sheet.size)?.unit ??
          current.source.design.unit
        }
      />
    </Box>
  );
}

interface CurrentProps extends Props {
  current: ProjectSheet;
  unit: WorkingUnit;
  /** What drawings of views are lettered in. */
  typeface: string;
  /** The unit that the sheet's size is given in. */
  sizeUnit: WorkingUnit;
}

function CurrentSheet({ current, ...rest }: CurrentProps) {
  const result = useDrawn(current);
  return 'problem' in result ? (
    <Box role="alert" sx={{ p: 6, color: 'error.main' }}>
      <Sign weight="error" /> {result.sheet.number} cannot be drawn: {inWords(result.problem)}
    </Box>
  ) : (
    <SheetToArrange current={result} {...rest} />
  );
}

function SheetToArrange({
  project,
  sheets,
  current,
  scales: all,
  unit,
  typeface,
  sizeUnit,
}: {
  project: Project;
  sheets: readonly ProjectSheet[];
  current: DrawnSheet;
  scales: readonly string[];
  unit: WorkingUnit;
  typeface: string;
  sizeUnit: WorkingUnit;
}) {
  const { sheet, grid, placed, drawing } = current;
  const works = worksIn(sheet.views, sizeUnit);
  const scales = scalesFor(all, works);
  // The view whose drawing is chosen; null for a new one.
  const [choosing, setChoosing] = useState<View | null>();
  const [overSheets, setOverSheets] = useState(false);
  const [selected, setSelected] = useState<string | undefined>(sheet.views[0]?.id);
  const [change] = sheetApi.useChangeSheetMutation();
  const { enqueueSnackbar } = useSnackbar();

  const keep = async (views: View[]): Promise<boolean> => {
    const result = await change({ id: sheet.id, projectId: project.id, version: sheet.version, views });
    if (result.error) enqueueSnackbar(`Not saved: ${errorOf(result.error).message}`, { variant: 'error' });
    return !result.error;
  };
  const setView = (view: View): Promise<boolean> =>
    keep(sheet.views.map((each) => (each.id === view.id ? view : each)));
  const view = sheet.views.find((each) => each.id === selected);
  /** Shows what was chosen, in a view that keeps its place and its scale; a new one gets those that are best. */
  const show = async (chosen: Chosen): Promise<void> => {
    if (choosing) await setView(shownIn(choosing, chosen));
    else {
      const scale = largestScale(chosen, scales, grid)?.scale.words ?? null;
      const name = nameOf(chosen)
        .replace(/\.\w+$/, '')
        .slice(0, 120);
      const added = { ...shownIn({ id: newUuid(), name }, chosen), scale, module: null };
      const module = freeModule(added, sheet.views, grid) ?? null;
      if (await keep([...sheet.views, { ...added, module }])) setSelected(added.id);
    }
    setChoosing(undefined);
  };

  const arrangeAll = async (): Promise<void> => {
    const { id, version, views: before } = sheet;
    const arranged = arrangedViews(before, grid);
    const { data, error } = await change({ id, projectId: project.id, version, views: arranged });
    if (!data) {
      enqueueSnackbar(`Not saved: ${errorOf(error).message}`, { variant: 'error' });
      return;
    }
    const waiting = arranged.filter(({ module }) => module === null).map(({ name }) => name);
    const takeBack = async (): Promise<void> => {
      const result = await change({ id, projectId: project.id, version: data.version, views: before });
      if (result.error) enqueueSnackbar(`Not undone: ${errorOf(result.error).message}`, { variant: 'error' });
    };
    enqueueSnackbar(waiting.length === 0 ? 'All views stand in free modules' : `No room for ${waiting.join(', ')}`, {
      ...(waiting.length > 0 ? { variant: 'warning' as const } : {}),
      action: (message) => <UndoButton message={message} onUndo={() => void takeBack()} />,
    });
  };
  const place = (column: number, row: number): void => {
    if (!view || column < 0 || row < 0 || column >= grid.columns || row >= grid.rows) return;
    void setView({ ...view, module: moduleName(column, row) });
  };
  const pick = (point: { x: number; y: number }): void => {
    const at = modulePicked(point, grid);
    if (at) place(at.column, at.row);
  };
  const keys = (event: React.KeyboardEvent): void => {
    const at = view?.module ? moduleAt(view.module, grid) : undefined;
    const step: Record<string, [number, number]> = {
      ArrowLeft: [-1, 0],
      ArrowRight: [1, 0],
      ArrowUp: [0, 1],
      ArrowDown: [0, -1],
    };
    const by = step[event.key];
    if (!view || !by || event.target !== event.currentTarget) return;
    event.preventDefault();
    if (at) place(at.column + by[0], at.row + by[1]);
  };
  return (
    <>
      <Paper
        drawing={drawing}
        unit={unit}
        label={`${sheet.number} ${sheet.title}. Arrow keys move the selected view`}
        onPick={pick}
        onKeyDown={keys}
        under={<ModuleGridLines grid={grid} paperHeight={drawing.height} />}
        over={({ viewport }) =>
          placed.map((each) => (
            <PlacedViewMark
              key={each.view.id}
              placed={each}
              piece={drawing.items.find((item) => item.kind === 'piece' && item.x === each.x && item.y === each.y)}
              paperHeight={drawing.height}
              selected={each.view.id === selected}
              pixel={1 / viewport.scale}
              onSelect={() => setSelected(each.view.id)}
              onDrop={(rect) => {
                const module = moduleNear(rect, grid);
                setSelected(each.view.id);
                if (module !== each.module) void setView({ ...each.view, module });
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
        <ViewTray
          sheet={sheet}
          grid={grid}
          placed={placed}
          findings={current.findings.filter((each) => each.where.view !== undefined)}
          scales={scales}
          unit={unit}
          selected={selected}
          onSelect={setSelected}
          onChange={setView}
          onAdd={async (added) => {
            if (await keep([...sheet.views, added])) setSelected(added.id);
          }}
          onChooseDrawing={(each) => setChoosing(each ?? null)}
          onRemove={(id) => void keep(sheet.views.filter((each) => each.id !== id))}
          onArrange={() => void arrangeAll()}
          onArrangeSheets={() => setOverSheets(true)}
          onPlace={(each) => {
            const module = freeModule(each, sheet.views, grid);
            if (module) void setView({ ...each, module });
            else enqueueSnackbar(whyNoRoom(each, sheet.views, grid, unit), { variant: 'warning' });
          }}
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
          typeface={typeface}
          onChoose={(chosen) => void show(chosen)}
          onClose={() => setChoosing(undefined)}
        />
      )}
    </>
  );
}
