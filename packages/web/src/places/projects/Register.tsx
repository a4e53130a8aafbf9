import { useCallback, useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { DataGrid, useGridApiRef } from '@mui/x-data-grid';
import type { GridCellParams, GridEventListener } from '@mui/x-data-grid';
import { useSnackbar } from 'notistack';
import type { Project, Sheet } from '@mendrel/contract';
import type { Finding, OfficeStandard } from '@mendrel/core';
import { counted } from '@mendrel/core';
import { readPasted } from '@mendrel/formats/csv';
import { api, errorOf } from '../../app/api';
import { AskBeforeDeleting } from '../../app/AskBeforeDeleting';
import { useCommands } from '../../app/commands';
import { GRID_LOOK } from '../../app/gridLook';
import { Empty } from '../../app/states';
import { UndoButton } from '../../app/UndoButton';
import { AddSheet } from './AddSheet';
import { pastedEdits } from './pastedRows';
import { columnsFor, ownOf, partColumns } from './registerColumns';
import { changeOf, keptRowOf, rowOf } from './rows';
import type { Row } from './rows';
import { SheetData } from './SheetData';
import type { ProjectSheet } from './sheetDrawings';
import { useKeptOrder } from './useKeptOrder';
import type { Edited, SheetEdit } from './useRegisterEdits';
import { useRegisterEdits } from './useRegisterEdits';

interface Props {
  project: Project;
  sheets: readonly Sheet[];
  /** Each with what it is drawn from; none before that is there. */
  sources: readonly ProjectSheet[];
  /** What has to be mended on each sheet, by its id. */
  findings: ReadonlyMap<string, readonly Finding[]>;
  /** Sizes that the design of a kind of sheet serves. */
  sizesOf: (kind: Sheet['kind']) => readonly string[];
  standard: OfficeStandard;
}

/** Columns that the Delete key empties; the others always hold something. */
const CLEARED: ReadonlySet<string> = new Set(['title', 'drawnBy', 'checkedBy', 'date']);

/** The table of a project's sheets: edit in place, paste from a spreadsheet, add sheets, see what does not fit. */
export function Register({ project, sheets, sources, findings, sizesOf, standard }: Props) {
  const [adding, setAdding] = useState(false);
  const [opened, setOpened] = useState<string>();
  const [leaving, setLeaving] = useState<Sheet>();
  const [deleteSheet, deleting] = api.useDeleteSheetMutation();
  const { enqueueSnackbar } = useSnackbar();
  const { apply, undo } = useRegisterEdits(project, sheets);
  const grid = useGridApiRef();
  const { parameters, wording } = standard;
  const { values } = project;
  const own = useMemo(() => [...partColumns(values), ...ownOf(parameters)], [values, parameters]);
  const keys = useMemo(() => own.map((each) => each.key), [own]);
  const sorted = useMemo(
    () =>
      sheets.map((sheet, i) => {
        const drawn = sources[i];
        return drawn ? keptRowOf(drawn, wording, keys) : rowOf(sheet, undefined, wording, keys);
      }),
    [sheets, sources, wording, keys],
  );
  const { rows, unsorted, sort } = useKeptOrder(sorted);
  const onOpen = useCallback((row: Row) => setOpened(row.id), []);
  const onDelete = useCallback((row: Row) => setLeaving(row.sheet), []);
  const columns = useMemo(() => columnsFor(sizesOf, own, { onOpen, onDelete }), [sizesOf, own, onOpen, onDelete]);
  const editable = columns.flatMap(({ field, editable: can }) => (can ? [field] : []));

  const takeBack = async (): Promise<void> => {
    const done = await undo();
    if (!done) enqueueSnackbar('There is nothing to undo here');
    else if (done.refused[0]) enqueueSnackbar(`Not undone: ${done.refused[0].message}`, { variant: 'error' });
    else enqueueSnackbar(`${changedWords(done)} back as before`);
  };
  useCommands([
    { name: 'Add a sheet', keys: 'N', run: () => setAdding(true) },
    { name: 'Undo the last change of the register', keys: 'Ctrl+Z', run: () => void takeBack() },
  ]);
  const say = (done: Edited, over = 0): void => {
    const left = over > 0 ? `; ${counted(over, 'row')} below the last sheet left out` : '';
    const [refused] = done.refused;
    if (refused) {
      const words = `${refused.sheet.number} not changed: ${refused.message}${left}`;
      enqueueSnackbar(done.changed.length > 0 ? `${changedWords(done)} changed. ${words}` : words, {
        variant: 'error',
      });
      return;
    }
    if (done.changed.length === 0) {
      if (left) enqueueSnackbar(`Nothing changed${left}`, { variant: 'warning' });
      return;
    }
    enqueueSnackbar(`${changedWords(done)} changed${left}`, {
      action: (message) => <UndoButton message={message} onUndo={() => void takeBack()} />,
    });
  };
  const edit = async (edits: readonly SheetEdit[], over = 0): Promise<void> => say(await apply(edits), over);
  const keep = async (after: Row, before: Row): Promise<Row> => {
    const change = changeOf(before, after, keys);
    if (!change) return before;
    const done = await apply([{ sheet: before.sheet, change }]);
    const [changed] = done.changed;
    if (!changed) throw new Error(done.refused[0]?.message);
    say(done);
    return { ...after, sheet: changed };
  };
  const onCellKeyDown: GridEventListener<'cellKeyDown'> = (params: GridCellParams<Row>, event) => {
    if ((event.key !== 'Delete' && event.key !== 'Backspace') || params.cellMode === 'edit') return;
    // The grid would open the cell, empty it, and keep that with the next click.
    event.defaultMuiPrevented = true;
    event.preventDefault();
    if (!CLEARED.has(params.field) && !keys.some((key) => key === params.field)) return;
    const change = changeOf(params.row, { ...params.row, [params.field]: '' }, keys);
    if (change) void edit([{ sheet: params.row.sheet, change }]);
  };
  const onPaste = (event: React.ClipboardEvent): void => {
    const piece = readPasted(event.clipboardData.getData('text/plain'));
    const cell = grid.current?.state.focus.cell;
    // A single value goes where the text cursor is.
    if (!cell || (piece.length <= 1 && (piece[0]?.length ?? 0) <= 1 && event.target instanceof HTMLInputElement))
      return;
    event.preventDefault();
    event.stopPropagation();
    const id = String(cell.id);
    if (grid.current?.getCellMode(id, cell.field) === 'edit') {
      grid.current.stopCellEditMode({ id, field: cell.field, ignoreModifications: true });
    }
    // Rows go in as they stand on screen, whatever column they are sorted by.
    const order = grid.current?.getSortedRowIds() ?? rows.map((each) => each.id);
    const shown = order.flatMap((each) => rows.find((row) => row.id === each) ?? []);
    const row = shown.findIndex((each) => each.id === id);
    const { edits, over } = pastedEdits(piece, shown, { row, field: cell.field }, editable, keys);
    void edit(edits, over);
  };
  const open = sheets.find((each) => each.id === opened);

  return (
    <Box sx={{ flex: 1, minHeight: 0, p: 4, display: 'flex', flexDirection: 'column', gap: 3 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 3 }}>
        <Box sx={{ flex: 1, color: 'text.secondary' }}>{summary(sheets, findings)}</Box>
        {unsorted ? <Button onClick={sort}>Sort by number</Button> : null}
        <Button variant="contained" onClick={() => setAdding(true)}>
          Add a sheet
        </Button>
      </Box>
      {sheets.length === 0 ? (
        <Empty title="No sheets yet">Add the first one; its number is proposed from its kind.</Empty>
      ) : (
        <Box sx={{ flex: 1, minHeight: 0 }} onPasteCapture={onPaste}>
          <DataGrid
            apiRef={grid}
            aria-label={`Register of ${project.name}`}
            rows={rows}
            columns={columns}
            rowHeight={46}
            columnHeaderHeight={38}
            hideFooter
            disableColumnMenu
            editMode="cell"
            disableRowSelectionOnClick
            onCellKeyDown={onCellKeyDown}
            processRowUpdate={keep}
            onProcessRowUpdateError={(error: Error) =>
              enqueueSnackbar(`Not saved: ${error.message}`, { variant: 'error' })
            }
            sx={GRID_LOOK}
          />
        </Box>
      )}
      {adding ? <AddSheet project={project} sizesOf={sizesOf} onClose={() => setAdding(false)} /> : null}
      {open ? (
        <SheetData
          key={open.id}
          sheet={open}
          sizesOf={sizesOf}
          standard={standard}
          apply={apply}
          onClose={() => setOpened(undefined)}
        />
      ) : null}
      {leaving ? (
        <AskBeforeDeleting
          title={`Delete ${leaving.number} ${leaving.title}?`}
          words={deletedWords(leaving)}
          busy={deleting.isLoading}
          problem={deleting.error ? errorOf(deleting.error).message : undefined}
          onDelete={() =>
            void deleteSheet({ id: leaving.id, projectId: project.id }).then((result) => {
              if (!result.error) setLeaving(undefined);
            })
          }
          onClose={() => setLeaving(undefined)}
        />
      ) : null}
    </Box>
  );
}

/** What goes with a sheet that is deleted. */
const deletedWords = ({ views }: Sheet): string =>
  `Its data${views.length > 0 ? ` and its ${counted(views.length, 'view')}` : ''} go with it. This cannot be undone.`;

/** The sheets that were changed: the one by its number, several by how many they are. */
const changedWords = ({ changed }: Edited): string =>
  changed.length === 1 ? (changed[0]?.number ?? '') : counted(changed.length, 'sheet');

function summary(sheets: readonly Sheet[], findings: Props['findings']): string {
  const having = (weight: Finding['weight']): number =>
    sheets.filter(({ id }) => findings.get(id)?.some((finding) => finding.weight === weight)).length;
  const [errors, gaps] = [having('error'), having('gap')];
  const parts = [counted(sheets.length, 'sheet')];
  if (errors > 0) parts.push(`${errors} with something that spills or conflicts`);
  if (gaps > 0) parts.push(`${gaps} with something missing`);
  return parts.join(', ');
}
