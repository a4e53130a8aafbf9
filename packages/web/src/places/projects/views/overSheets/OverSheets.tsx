import { useMemo, useState } from 'react';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import { useSnackbar } from 'notistack';
import type { Project, Sheet } from '@mendrel/contract';
import type { View, WayToArrange } from '@mendrel/core';
import { counted, MOST_ARRANGED, solveSheet, WAYS_TO_ARRANGE } from '@mendrel/core';
import { errorOf } from '../../../../app/api';
import { sheetApi } from '../../../../app/sheetApi';
import { useSheetKinds } from '../../../../app/sheetKinds';
import { useTypefaces } from '../../../../app/typefaces';
import { UndoButton } from '../../../../app/UndoButton';
import { Loading } from '../../../../app/states';
import { useStep } from '../../../../app/useStep';
import type { ProjectSheet } from '../../sheetDrawings';
import { solvedFrom } from '../../drawnSheets';
import type { ArrangeTask } from './arrangeTask';
import type { GridSheet, Together } from './sheetsToFill';
import { changeFor, looseViews, sheetsToFill, takenBack } from './sheetsToFill';
import { useArranger } from './useArranger';
import { WhatFits } from './WhatFits';
import { Ways } from './Ways';
import { Wish } from './Wish';

interface Props {
  project: Project;
  sheets: readonly ProjectSheet[];
  /** The sheet that it was asked on: others like it are proposed, and further ones are added like it. */
  like: Sheet;
  scales: readonly string[];
  onClose: () => void;
}

/** Sheets that are arranged at once. */
const MOST_AT_ONCE = 200;
const NONE: readonly View[] = [];

/** Stands the views of several sheets anew: on as few of them as hold them, with ways to choose from, and what would fit at other scales. */
export function OverSheets({ project, sheets, like, scales, onClose }: Props) {
  const typefaces = useTypefaces();
  const kinds = useSheetKinds();
  const { enqueueSnackbar } = useSnackbar();
  const [change] = sheetApi.useChangeSheetsMutation();
  const applying = useStep(onClose);
  const [tab, setTab] = useState<'ways' | 'fits'>('ways');
  const [way, setWay] = useState<WayToArrange>('in-order');
  const [scale, setScale] = useState<string>();
  const [further, setFurther] = useState(true);
  const [together, setTogether] = useState<Together>('drawing');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(
    () =>
      new Set(
        sheets
          .filter(({ sheet }) => sheet.kind === like.kind && sheet.size === like.size)
          .slice(0, MOST_AT_ONCE)
          .map(({ sheet }) => sheet.id),
      ),
  );
  // The module grids of sheets that can be solved.
  const grids = useMemo(
    () =>
      sheets
        .filter(({ sheet }) => chosen.has(sheet.id))
        .flatMap((each): GridSheet[] => {
          const result = solvedFrom(each, typefaces);
          return 'problem' in result ? [] : [{ sheet: each.sheet, grid: result.grid }];
        }),
    [sheets, chosen, typefaces],
  );
  const { data: tray = NONE } = sheetApi.useTrayQuery(project.id);
  const [fromTray, setFromTray] = useState(true);
  const waiting = fromTray ? tray : NONE;
  const loose = useMemo(() => looseViews(grids, waiting, together, scale), [grids, waiting, together, scale]);
  const source = sheets.find(({ sheet }) => sheet.id === like.id)?.source;
  const task = useMemo((): ArrangeTask | undefined => {
    if (!source || loose.length === 0) return undefined;
    const emptyOf = (size: string) => solveSheet({ ...source, sheet: { ...source.sheet, size, views: [] } }, typefaces);
    const views = loose.map(({ view, group }) => ({ view, group }));
    if (tab === 'fits') {
      const sizes = source.design.sizes.flatMap(({ size }) => {
        const empty = emptyOf(size);
        return 'problem' in empty ? [] : [{ size, grid: empty.grid }];
      });
      return { of: 'fits', views: views.map(({ view }) => view), sizes, scales };
    }
    const empty = further ? emptyOf(like.size) : undefined;
    const grid = empty && !('problem' in empty) ? empty.grid : undefined;
    return { of: 'ways', views, sheets: sheetsToFill(grids), further: grid, ways: WAYS_TO_ARRANGE };
  }, [source, loose, tab, further, grids, like.size, scales, typefaces]);
  const { answer, problem } = useArranger(task);
  const arrangement = answer?.ways.find((each) => each.way === way)?.arrangement;
  const all = sheets.map(({ sheet }) => sheet);
  const changed = arrangement && changeFor(arrangement, loose, grids, like, all, project, kinds);
  const emptied = (changed?.changes ?? []).flatMap(({ id, views }) =>
    views?.length === 0 ? (all.find((each) => each.id === id)?.number ?? []) : [],
  );
  const count = changed ? changed.changes.length + changed.added.length : 0;
  const takeBack = async (answered: readonly Sheet[]): Promise<void> => {
    if (!changed) return;
    const result = await change({ projectId: project.id, ...takenBack(changed, all, tray, answered) });
    if (result.error) enqueueSnackbar(`Not undone: ${errorOf(result.error).message}`, { variant: 'error' });
  };
  const apply = (): Promise<void> =>
    applying.run(async () => {
      if (!changed) return undefined;
      const { data, error } = await change({ projectId: project.id, ...changed });
      if (!data) return errorOf(error).message;
      enqueueSnackbar(`${counted(loose.length, 'view')} arranged on ${counted(count, 'sheet')}`, {
        action: (message) => <UndoButton message={message} onUndo={() => void takeBack(data.sheets)} />,
      });
      return undefined;
    });
  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="over-sheets">
      <DialogTitle id="over-sheets">Arrange views over several sheets</DialogTitle>
      <DialogContent sx={{ display: 'grid', gridTemplateColumns: '300px 1fr', gap: 6, minHeight: 440 }}>
        <Wish
          sheets={all}
          chosen={chosen}
          most={MOST_AT_ONCE}
          onChosen={setChosen}
          like={like}
          tray={tray.length}
          fromTray={fromTray}
          onFromTray={setFromTray}
          further={further}
          onFurther={setFurther}
          together={together}
          onTogether={setTogether}
          scale={scale}
          scales={scales}
          onScale={setScale}
        />
        <Box sx={{ minWidth: 0 }}>
          <Tabs value={tab} onChange={(_event, next: typeof tab) => setTab(next)} sx={{ mb: 4 }}>
            <Tab value="ways" label="Ways to arrange them" />
            <Tab value="fits" label="What fits" />
          </Tabs>
          {loose.length === 0 ? (
            <Typography>No views to arrange: choose sheets that have some which are not locked.</Typography>
          ) : problem ? (
            <Alert severity="error">{problem}</Alert>
          ) : !answer ? (
            <Loading what="an arrangement" />
          ) : tab === 'ways' ? (
            <Ways ways={answer.ways} chosen={way} sheets={all} emptied={emptied} onChoose={setWay} />
          ) : (
            <WhatFits
              fits={answer.fits}
              views={loose.length}
              size={like.size}
              scale={scale}
              onScale={(next) => {
                setScale(next);
                setTab('ways');
              }}
            />
          )}
          {loose.length > MOST_ARRANGED ? (
            <Alert severity="warning" sx={{ mt: 3 }}>
              {loose.length} views are more than the {MOST_ARRANGED} that are arranged at once: choose fewer sheets.
            </Alert>
          ) : null}
          {applying.problem ? (
            <Alert severity="error" sx={{ mt: 3 }}>
              Nothing was arranged: {applying.problem}
            </Alert>
          ) : null}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button color="inherit" onClick={onClose}>
          Cancel
        </Button>
        {tab === 'ways' ? (
          <Button
            variant="contained"
            disabled={applying.busy || count === 0 || loose.length > MOST_ARRANGED}
            onClick={() => void apply()}
          >
            {answer && count === 0 ? 'They stand so already' : `Change ${counted(count, 'sheet')}`}
          </Button>
        ) : null}
      </DialogActions>
    </Dialog>
  );
}
