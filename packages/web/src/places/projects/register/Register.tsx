import { memo, Suspense, useCallback, useDeferredValue, useMemo, useRef, useState } from 'react';
import Box from '@mui/material/Box';
import { useEventCallback } from '@mui/material/utils';
import { useSnackbar } from 'notistack';
import type { Project, Sheet } from '@mendrel/contract';
import type { Finding, OfficeStandard } from '@mendrel/core';
import { counted, steppedOrder } from '@mendrel/core';
import { useCommands } from '../../../app/commands';
import { useDesignName } from '../../../app/designName';
import { handOver, keepFile } from '../../../app/keepFile';
import { later } from '../../../app/later';
import { useLoadedAhead } from '../../../app/loadedAhead';
import { useSheetKinds } from '../../../app/sheetKinds';
import { Empty } from '../../../app/states';
import { UndoButton } from '../../../app/UndoButton';
import type { ProjectSheet, SheetLook } from '../sheetDrawings';
import { chosenColumns, keepChoice, keptChoice } from './columnChoice';
import type { ColumnChoice } from './columnChoice';
import { differencesOf, tableOf } from './exchange';
import { editsOf } from './findReplace';
import type { Replaced } from './findReplace';
import { pastedEdits } from './pastedRows';
import { ROW_HEIGHTS } from './pictureSizes';
import { RegisterBar } from './RegisterBar';
import { columnsFor, exchangeColumns, isUsual, ownOf, widthForNumbers } from './registerColumns';
import type { RegisterDialog } from './RegisterDialogs';
import { RegisterTable } from './RegisterTable';
import { GROUPED_BY } from './groupedRows';
import { holds } from './rowFilter';
import { changeOf, keptRowOf, rowOf } from './rows';
import type { Row } from './rows';
import { useKeptOrder } from './useKeptOrder';
import type { Edited, RegisterStep } from './useRegisterEdits';
import { useRegisterEdits } from './useRegisterEdits';

const RegisterDialogs = later(() => import('./RegisterDialogs').then((dialogs) => dialogs.RegisterDialogs));
const SHOWN_LATER = [RegisterDialogs];

interface Props {
  project: Project;
  sheets: readonly Sheet[];
  /** Each with what it is drawn from; none before that is there. */
  sources: readonly ProjectSheet[];
  /** What has to be mended on each sheet, by its id. */
  findings: ReadonlyMap<string, readonly Finding[]>;
  /** Sizes that the design of a sheet serves. */
  sizesOf: (sheet: SheetLook) => readonly string[];
  standard: OfficeStandard;
}

/** Columns besides those of parameters that may be empty. */
const CLEARED = ['title', 'drawnBy', 'checkedBy', 'date'] as const;

/**
 * The table of a project's sheets: edited like a spreadsheet, read from one and written for one. What comes of an answer is built between
 * keys: with thousands of sheets that takes longer than somebody who types should wait.
 */
export function Register({ project, sheets, sources, findings, sizesOf, standard }: Props) {
  // All of them: one that came sooner than the others would not go with them.
  return (
    <SheetTable
      project={useDeferredValue(project)}
      sheets={useDeferredValue(sheets)}
      sources={useDeferredValue(sources)}
      findings={useDeferredValue(findings)}
      sizesOf={useDeferredValue(sizesOf)}
      standard={useDeferredValue(standard)}
    />
  );
}

const SheetTable = memo(function SheetTable({ project, sheets, sources, findings, sizesOf, standard }: Props) {
  const [dialog, setDialog] = useState<RegisterDialog>();
  useLoadedAhead(true, SHOWN_LATER);
  const [chosenIds, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [filter, setFilter] = useState('');
  const [choice, setChoice] = useState(keptChoice);
  const { enqueueSnackbar } = useSnackbar();
  const { apply, applyAtOnce, settled, undo, redo } = useRegisterEdits(project, sheets);
  const { wording } = standard;
  const { values } = project;
  const own = useMemo(() => ownOf(standard, values), [standard, values]);
  const keys = useMemo(() => own.map((each) => each.key), [own]);
  const sorted = useMemo(
    () =>
      sheets.map((sheet, i) => {
        const drawn = sources[i];
        return drawn ? keptRowOf(drawn, wording, keys) : rowOf(sheet, undefined, wording, keys);
      }),
    [sheets, sources, wording, keys],
  );
  const { rows: all, unsorted, sort } = useKeptOrder(sorted, project.byHand);
  const exchanged = useMemo(() => exchangeColumns(own), [own]);
  const rows = useMemo(
    () => (filter.trim() === '' ? all : all.filter((row) => holds(row, filter, exchanged))),
    [all, filter, exchanged],
  );
  // Sheets that went, or are not shown, are not chosen.
  const chosen = useMemo(() => new Set(rows.flatMap(({ id }) => (chosenIds.has(id) ? [id] : []))), [rows, chosenIds]);
  // The form shows what was typed into the table just before.
  const openSheet = useEventCallback((sheet: string) => void settled().then(() => setDialog({ kind: 'data', sheet })));
  const onOpen = useCallback((row: Row) => openSheet(row.id), [openSheet]);
  const onDelete = useCallback((row: Row) => setDialog({ kind: 'delete', sheets: [row.id] }), []);
  const told = useMemo(() => summary(sheets, findings, rows.length), [sheets, findings, rows.length]);
  const kinds = useSheetKinds();
  const designName = useDesignName();
  const stepping = useRef(false);
  const { large } = choice;
  const numberWidth = useMemo(
    () => widthForNumbers(sheets.reduce((most, { number }) => Math.max(most, number.length), 0)),
    [sheets],
  );
  const every = useMemo(
    () => columnsFor({ sizesOf, own, kinds, large, numberWidth, designName }, { onOpen, onDelete }),
    [sizesOf, own, kinds, large, numberWidth, designName, onOpen, onDelete],
  );
  const cleared = useMemo(() => new Set<string>([...CLEARED, ...keys]), [keys]);
  const usual = useCallback((field: string) => isUsual(own, field), [own]);
  const columns = useMemo(() => chosenColumns(every, choice, usual), [every, choice, usual]);
  const groups = exchanged.filter(({ field }) => GROUPED_BY.has(field) || own.some(({ key }) => key === field));
  const grouped = groups.find(({ field }) => field === choice.groupBy);
  const editable = columns.flatMap(({ field, editable: can }) => (can ? [field] : []));
  const sizeFor = (kind: Sheet['kind']): string => usualSize(project, sizesOf, kind);

  const tell = (done: Edited | undefined, nothing: string, not: string, words: (of: string) => string): void => {
    if (!done) enqueueSnackbar(nothing);
    else if (done.refused !== undefined) enqueueSnackbar(`${not}: ${done.refused}`, { variant: 'error' });
    else enqueueSnackbar(words(changedWords(done)));
  };
  const takeBack = async (): Promise<void> =>
    tell(await undo(), 'There is nothing to undo here', 'Not undone', (of) => `${of} back as before`);
  const doAgain = async (): Promise<void> =>
    tell(await redo(), 'There is nothing to do again here', 'Not done again', (of) => `${of} changed again`);
  useCommands([
    { name: 'Add a sheet', keys: 'N', run: () => setDialog({ kind: 'add' }) },
    { name: 'Find and replace in the register', keys: 'Ctrl+H', run: () => setDialog({ kind: 'find' }) },
    { name: 'Undo the last change of the register', keys: 'Ctrl+Z', run: () => void takeBack() },
    { name: 'Make the change again that was undone last', keys: 'Ctrl+Shift+Z', run: () => void doAgain() },
  ]);
  const say = (done: Edited, left = ''): void => {
    if (done.refused !== undefined) enqueueSnackbar(`Nothing changed: ${done.refused}${left}`, { variant: 'error' });
    else if (done.ordered) {
      enqueueSnackbar('The sheets stand in another order', {
        action: (message) => <UndoButton message={message} onUndo={() => void takeBack()} />,
      });
    } else if (done.changed.length + done.deleted === 0) {
      if (left) enqueueSnackbar(`Nothing changed${left}`, { variant: 'warning' });
    } else
      enqueueSnackbar(`${changedWords(done)} ${done.deleted > 0 ? 'deleted' : 'changed'}${left}`, {
        action: (message) => <UndoButton message={message} onUndo={() => void takeBack()} />,
      });
  };
  /** Does a step and tells of it. @returns why it was not done */
  const run = async (step: RegisterStep, left = '', how = apply): Promise<string | undefined> => {
    const done = await how(step);
    say(done, left);
    return done.refused;
  };
  const change = (cells: readonly Omit<Replaced, 'before'>[], how = apply): Promise<string | undefined> =>
    run({ changes: editsOf(cells, keys) }, '', how);
  // The table is not shown anew because something around it is: what it calls stays the same.
  const keep = useEventCallback((after: Row, before: Row): Promise<string | undefined> | undefined => {
    const what = changeOf(before, after, keys);
    return (
      what &&
      applyAtOnce({ changes: [{ sheet: before.sheet, change: what }] }, true).then((done) => {
        if (done.refused === undefined) say(done);
        return done.refused;
      })
    );
  });
  const onRefused = useEventCallback((why: string, typed?: string): void => {
    const lost = typed === undefined ? '' : `. You typed “${typed}”`;
    enqueueSnackbar(`Not saved: ${why.replace(/\.$/, '')}${lost}`, { variant: 'error' });
  });
  const onCells = useEventCallback((cells: readonly Omit<Replaced, 'before'>[]) => void change(cells, applyAtOnce));
  const onPaste = useEventCallback(
    (piece: string[][], shown: readonly Row[], at: { row: number; field: string }): void => {
      const { edits, over } = pastedEdits(piece, shown, at, editable, keys);
      const left = over > 0 ? `; ${counted(over, 'row')} below the last sheet left out` : '';
      void run({ changes: edits }, left, applyAtOnce);
    },
  );
  /** Moves chosen rows, or else one, a place up or down. */
  const onStep = useEventCallback((id: string, by: -1 | 1): void => {
    const order = sheets.map((sheet) => sheet.id);
    const moved = chosen.has(id) ? chosen : new Set([id]);
    const next = steppedOrder(order, moved, by);
    // A key that is held down asks again before the last step is done.
    if (!next || stepping.current) return;
    stepping.current = true;
    void run({ changes: [], order: next }).finally(() => (stepping.current = false));
  });
  const download = async (as: 'csv' | 'xlsx'): Promise<void> => {
    const { headings, cells } = tableOf(rows, exchanged);
    const name = `${project.name} register.${as}`;
    if (as === 'csv') {
      const { writeCsv } = await import('@mendrel/formats/csv');
      // The mark by which spreadsheets know the encoding.
      keepFile(name, `\uFEFF${writeCsv(headings, cells)}`, 'text/csv');
      return;
    }
    const { writeXlsx } = await import('@mendrel/formats/xlsx');
    const type = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';
    handOver(name, new Blob([(await writeXlsx('Register', headings, cells)) as Uint8Array<ArrayBuffer>], { type }));
  };
  const setColumns = (next: ColumnChoice): void => {
    setChoice(next);
    keepChoice(next);
  };

  return (
    <Box sx={{ flex: 1, minHeight: 0, p: 4, display: 'flex', flexDirection: 'column', gap: 3 }}>
      <RegisterBar
        summary={told}
        chosen={chosen.size}
        sorting={
          unsorted
            ? { words: 'Sort by number', run: sort }
            : project.byHand
              ? { words: 'Order by number', run: () => void run({ changes: [], order: null }) }
              : undefined
        }
        filter={filter}
        onFilter={setFilter}
        onAdd={() => setDialog({ kind: 'add' })}
        onFind={() => setDialog({ kind: 'find' })}
        onColumns={() => setDialog({ kind: 'columns' })}
        large={large}
        onLarge={() => setColumns({ ...choice, large: !large })}
        onDownload={(as) => void download(as)}
        onRead={() => setDialog({ kind: 'read' })}
        onSet={() => setDialog({ kind: 'set' })}
        onRenumber={() => setDialog({ kind: 'renumber' })}
        onDesign={project.designId === null ? undefined : () => setDialog({ kind: 'design' })}
        onMove={() => setDialog({ kind: 'move' })}
        onCopy={() => setDialog({ kind: 'copy' })}
        onDelete={() => setDialog({ kind: 'delete', sheets: [...chosen] })}
        onChooseNone={() => setChosen(new Set())}
      />
      {sheets.length === 0 ? (
        <Empty title="No sheets yet">
          Add the first one; its number is proposed from its kind. A list of sheets is read in by “Table…”.
        </Empty>
      ) : (
        <RegisterTable
          name={project.name}
          rows={rows}
          columns={columns}
          groupBy={grouped}
          rowHeight={ROW_HEIGHTS[large ? 'large' : 'small']}
          cleared={cleared}
          chosen={chosen}
          onChoose={setChosen}
          onKeep={keep}
          onStep={onStep}
          onRefused={onRefused}
          onOpen={openSheet}
          onChange={onCells}
          onPaste={onPaste}
        />
      )}
      <Suspense fallback={null}>
        {dialog ? (
          <RegisterDialogs
            dialog={dialog}
            project={project}
            sheets={sheets}
            chosen={chosen}
            rows={chosen.size > 0 ? rows.filter(({ id }) => chosen.has(id)) : rows}
            standard={standard}
            sizesOf={sizesOf}
            columns={every.filter(({ field }) => field !== 'actions' && field !== 'picture')}
            sources={sources}
            groups={groups}
            choice={choice}
            usual={usual}
            words={exchanged.filter(({ typed, field }) => typed && field !== 'kind' && field !== 'size')}
            compare={(table) => differencesOf(table, all, exchanged, keys, { kinds, sizeFor })}
            apply={apply}
            run={run}
            onReplace={(cells) => change(cells)}
            onColumns={setColumns}
            onClose={() => setDialog(undefined)}
          />
        ) : null}
      </Suspense>
    </Box>
  );
});

/** The size that a new sheet of a kind has: that of its kind, where the kind's design serves it. */
function usualSize({ kinds }: Project, sizesOf: Props['sizesOf'], kind: Sheet['kind']): string {
  const sizes = sizesOf({ kind });
  const usual = kinds.find((each) => each.kind === kind)?.size ?? 'ISO A1';
  return sizes.includes(usual) ? usual : (sizes[0] ?? 'ISO A1');
}

/** The sheets of a step: the one by its number, several by how many they are. */
function changedWords({ changed, deleted, restored, ordered }: Edited): string {
  if (ordered) return 'The order of the sheets';
  if (restored) return 'Deleted sheets';
  if (changed.length === 1 && deleted === 0) return changed[0]?.number ?? '';
  return counted(changed.length + deleted, 'sheet');
}

function summary(sheets: readonly Sheet[], findings: Props['findings'], shown: number): string {
  const having = (weight: Finding['weight']): number =>
    sheets.filter(({ id }) => findings.get(id)?.some((finding) => finding.weight === weight)).length;
  const [errors, gaps] = [having('error'), having('gap')];
  const parts = [
    shown < sheets.length ? `${shown} of ${counted(sheets.length, 'sheet')}` : counted(sheets.length, 'sheet'),
  ];
  if (errors > 0) parts.push(`${errors} with something that spills or conflicts`);
  if (gaps > 0) parts.push(`${gaps} with something missing`);
  return parts.join(', ');
}
