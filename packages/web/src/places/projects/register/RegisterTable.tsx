import { memo, useCallback, useMemo, useState } from 'react';
import Box from '@mui/material/Box';
import { useEventCallback } from '@mui/material/utils';
import { DataGrid, gridClasses, useGridApiRef } from '@mui/x-data-grid';
import type { GridCellParams, GridColDef, GridEventListener, GridRowSelectionModel } from '@mui/x-data-grid';
import { readPasted } from '@mendrel/formats/csv';
import { GRID_LOOK, LIST_GRID } from '../../../app/gridLook';
import type { CellAt, RangeCells } from './cellRange';
import type { AllChosen } from './chooseAll';
import { AllChosenContext, CHECK_COLUMN } from './chooseAll';
import { asPiece, cellsIn, filledAsSeries, filledDown, filledWith } from './cellRange';
import type { Replaced } from './findReplace';
import { groupedColumns } from './groupedColumns';
import type { Line } from './groupedRows';
import { chosenLines, groupedRows, isGroup, rechosenRows } from './groupedRows';
import type { Row } from './rows';
import { scrolled } from './scrolling';
import { useCellRange } from './useCellRange';
import { useGridRows } from './useGridRows';
import type { KeepRow } from './useKeptRow';
import { useKeptRow } from './useKeptRow';

interface Props extends KeepRow {
  name: string;
  rows: readonly Row[];
  columns: GridColDef<Row>[];
  /** The column that rows are grouped by; undefined for none. */
  groupBy: { field: string; name: string } | undefined;
  /** In px. */
  rowHeight: number;
  /** Columns whose cells may be emptied; the others always hold something. */
  cleared: ReadonlySet<string>;
  chosen: ReadonlySet<string>;
  onChoose: (ids: ReadonlySet<string>) => void;
  /** Moves a row, or those that are chosen, a place up or down. */
  onStep: (id: string, by: -1 | 1) => void;
  /** Shows all of a sheet: what is wrong with it was asked for. */
  onOpen: (id: string) => void;
  onChange: (cells: readonly Omit<Replaced, 'before'>[]) => void;
  /** A piece of a spreadsheet, put in at a row and a column of those on screen. */
  onPaste: (piece: string[][], shown: readonly Row[], at: { row: number; field: string }) => void;
}

/** How high the line of a group is, in px. */
const GROUP_HEIGHT = 36;
const CHECK = CHECK_COLUMN.field;
/** The column that opens the sheet. */
const FINDINGS = 'findings';
/** Columns that hold nothing to copy. */
const NO_WORDS: ReadonlySet<string> = new Set([CHECK, 'picture', FINDINGS, 'actions']);

/** The register as a table that is typed through: cells and ranges of them are edited, copied, pasted, filled and emptied. */
export const RegisterTable = memo(function RegisterTable(props: Props) {
  const { name, rows, columns, groupBy, rowHeight, cleared, chosen, onChoose, onStep, onOpen, onChange, onPaste } =
    props;
  const grid = useGridApiRef();
  const { range, clear, click, key } = useCellRange();
  const [said, setSaid] = useState('');
  /** Whether the table is moved to the side. */
  const [aside, setAside] = useState(false);
  const [closed, setClosed] = useState<ReadonlySet<string>>(new Set());
  const lines = useMemo(() => groupedRows(rows, groupBy?.field, closed), [rows, groupBy?.field, closed]);
  const gridRows = useGridRows(grid, lines);
  const lineColumns = useMemo(
    (): GridColDef<Line, unknown>[] => [
      CHECK_COLUMN,
      ...(groupBy ? groupedColumns(columns, groupBy.name) : (columns as GridColDef<Line, unknown>[])),
    ],
    [columns, groupBy],
  );
  const toggle = (line: Line): void => {
    if (!isGroup(line)) return;
    const next = new Set(closed);
    if (!next.delete(line.group.words)) next.add(line.group.words);
    setClosed(next);
  };
  const typed = new Set(columns.flatMap(({ field, editable }) => (editable ? [field] : [])));
  const sheetIds = useMemo(() => new Set(rows.map(({ id }) => id)), [rows]);
  const chosenNow = useMemo(
    () => ({ type: 'include' as const, ids: new Set<string>(chosenLines(lines, chosen)) }),
    [lines, chosen],
  );
  const shownFields = fieldsOf(columns);
  const shownRows = (): Row[] => sortedRows(grid, rows);
  const focused = () => {
    const cell = grid.current?.state.focus.cell;
    // The line of a group is no row.
    return cell && sheetIds.has(String(cell.id)) ? { id: String(cell.id), field: cell.field } : undefined;
  };
  /** The range, or the cell that has the focus. */
  const current = (): RangeCells => {
    const cell = focused();
    if (range) return cellsIn(range, shownRows(), shownFields);
    return cell ? cellsIn({ from: cell, to: cell }, shownRows(), shownFields) : { rows: [], fields: [] };
  };
  const inRange = useMemo(
    () => (range ? cellsIn(range, sortedRows(grid, rows), fieldsOf(columns)) : undefined),
    [range, grid, rows, columns],
  );
  const { onRowUpdate, onCellEditStop } = useKeptRow(grid, columns, gridRows, props);
  const change = (cells: readonly Omit<Replaced, 'before'>[]): void => {
    const [row] = cells.map((cell) => cell.row);
    if (!row || cells.some((cell) => cell.row !== row)) return onChange(cells);
    const after: Row = { ...row, ...Object.fromEntries(cells.map((cell) => [cell.field, cell.after])) };
    grid.current?.updateRows([after]);
    onRowUpdate(after, row);
  };
  const onCellKeyDown: GridEventListener<'cellKeyDown'> = useEventCallback((params: GridCellParams<Line>, event) => {
    if (params.cellMode === 'edit') return;
    if (isGroup(params.row)) {
      if (event.key !== 'Enter' && event.key !== ' ') return;
      event.defaultMuiPrevented = true;
      event.preventDefault();
      toggle(params.row);
      return;
    }
    if (params.field === FINDINGS && event.key === 'Enter') onOpen(String(params.id));
    const command = event.ctrlKey || event.metaKey;
    const done = (): void => {
      // The grid would do something of its own with the key.
      event.defaultMuiPrevented = true;
      event.preventDefault();
    };
    if (event.altKey && (event.key === 'ArrowUp' || event.key === 'ArrowDown')) {
      done();
      const [sorted] = grid.current?.state.sorting.sortModel ?? [];
      const name = columns.find(({ field }) => field === sorted?.field)?.headerName;
      // It would move among rows that stand elsewhere on screen.
      if (sorted) setSaid(`Sorted by ${name ?? sorted.field}: sort by nothing to move sheets`);
      else onStep(String(params.id), event.key === 'ArrowUp' ? -1 : 1);
    } else if (event.key === 'Delete' || event.key === 'Backspace') {
      done();
      const cells = filledWith(current(), cleared, '');
      if (cells.length > 0) change(cells);
    } else if (command && event.key.toLowerCase() === 'd') {
      done();
      const cells = current();
      change(event.shiftKey ? filledAsSeries(cells, typed) : filledDown(cells, typed));
    } else {
      const shown = shownRows();
      const page = pageOf(grid, rowHeight);
      const to = key(event, { id: String(params.id), field: params.field }, shown, shownFields, page);
      if (!to) return;
      done();
      setSaid('');
      grid.current?.scrollToIndexes({
        rowIndex: grid.current.getRowIndexRelativeToVisibleRows(to.id),
        colIndex: grid.current.getColumnIndex(to.field),
      });
    }
  });
  const onCopy = (event: React.ClipboardEvent): void => {
    // What is marked within a cell that is being typed is the browser's to copy.
    if (event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement) return;
    const cells = current();
    if (cells.rows.length === 0) return;
    event.clipboardData.setData('text/plain', asPiece(cells));
    event.preventDefault();
    setSaid(`${cells.rows.length} × ${cells.fields.length} cells copied`);
  };
  const paste = (event: React.ClipboardEvent): void => {
    const piece = readPasted(event.clipboardData.getData('text/plain'));
    const cell = focused();
    const single = piece.length <= 1 && (piece[0]?.length ?? 0) <= 1;
    // A single value goes where the text cursor is.
    if (!cell || (single && event.target instanceof HTMLInputElement)) return;
    event.preventDefault();
    event.stopPropagation();
    if (grid.current?.getCellMode(cell.id, cell.field) === 'edit')
      grid.current.stopCellEditMode({ ...cell, ignoreModifications: true });
    if (single && range) {
      change(filledWith(current(), typed, (piece[0]?.[0] ?? '').trim()));
      return;
    }
    const shown = shownRows();
    const [first] = range ? current().rows : [];
    const field = range ? (current().fields[0] ?? cell.field) : cell.field;
    onPaste(piece, shown, { row: shown.findIndex(({ id }) => id === (first?.id ?? cell.id)), field });
  };
  const onScroll = ({ target }: React.UIEvent): void => {
    if (!(target instanceof Element)) return;
    scrolled();
    // Its bars are scrolled as well, each in its own direction.
    if (!target.classList.contains(gridClasses.virtualScroller)) return;
    const moved = target.scrollLeft > 0;
    setAside(moved);
    // The number is built however far the table is moved to the side: it stays in sight. Built always, all columns would slow scrolling.
    grid.current?.unstable_setColumnVirtualization(!moved);
  };
  const onMouseDown = (event: React.MouseEvent): void => {
    const at = cellAt(event.target);
    if (!at || NO_WORDS.has(at.field) || !sheetIds.has(at.id)) return;
    // Shift would mark the words between as well.
    if (event.shiftKey) event.preventDefault();
    click(at, focused(), event.shiftKey);
  };
  // From here on: what the grid is given stays the same while its rows alone become others. See `useGridRows`.
  const cellClass = useMemo(() => {
    const inRows = new Set(inRange?.rows.map(({ id }) => id));
    const inFields = new Set(inRange?.fields);
    return ({ id, field }: { id: unknown; field: string }) =>
      inRows.has(String(id)) && inFields.has(field) ? 'in-range' : '';
  }, [inRange]);
  const lineHeight = useCallback(
    ({ model }: { model: object }) => (isGroup(model as Line) ? GROUP_HEIGHT : rowHeight),
    [rowHeight],
  );
  const onCellClick = useEventCallback(({ row, field }: { row: Line; field: string }) => {
    if (isGroup(row) && field !== CHECK) toggle(row);
    else if (field === FINDINGS) onOpen(row.id);
  });
  const onChoice = useEventCallback((choice: GridRowSelectionModel) =>
    onChoose(rechosenRows(rows, lines, chosen, choice)),
  );
  const chooseAll = useEventCallback((all: boolean) => onChoose(new Set(all ? sheetIds : [])));
  const allChosen = useMemo((): AllChosen => {
    const state = chosen.size === 0 ? 'none' : chosen.size < sheetIds.size ? 'some' : 'all';
    return { state, choose: chooseAll };
  }, [chosen.size, sheetIds.size, chooseAll]);
  const onEditStart = useEventCallback(clear);
  return (
    <Box
      sx={{ flex: 1, minHeight: 0 }}
      onPasteCapture={paste}
      onCopy={onCopy}
      onMouseDownCapture={onMouseDown}
      onScrollCapture={onScroll}
    >
      <AllChosenContext value={allChosen}>
        <DataGrid<Line>
          {...LIST_GRID}
          rowHeight={rowHeight}
          apiRef={grid}
          aria-label={`Register of ${name}`}
          rows={gridRows.rows}
          columns={lineColumns}
          isCellEditable={isTyped}
          {...(groupBy ? { getRowHeight: lineHeight } : {})}
          onCellClick={onCellClick}
          editMode="cell"
          checkboxSelection
          rowSelectionModel={chosenNow}
          onRowSelectionModelChange={onChoice}
          getCellClassName={cellClass}
          onCellEditStart={onEditStart}
          onCellEditStop={onCellEditStop}
          onCellKeyDown={onCellKeyDown}
          processRowUpdate={onRowUpdate}
          ignoreValueFormatterDuringExport
          sx={aside ? ASIDE_LOOK : LOOK}
        />
      </AllChosenContext>
      <Box role="status" aria-label="Cells" sx={{ position: 'absolute', left: -9999 }}>
        {said || (inRange ? `${inRange.rows.length} × ${inRange.fields.length} cells` : '')}
      </Box>
    </Box>
  );
});

/** How many rows are seen at once. */
const pageOf = (grid: ReturnType<typeof useGridApiRef>, rowHeight: number): number =>
  Math.max(1, Math.floor((grid.current?.getRootDimensions().viewportInnerSize.height ?? 0) / rowHeight));

/** Columns that hold words. */
const fieldsOf = (columns: readonly GridColDef<Row>[]): string[] =>
  columns.map(({ field }) => field).filter((field) => !NO_WORDS.has(field));

/** Rows as they stand on screen, whatever column they are sorted by, with what was typed last. */
function sortedRows(grid: ReturnType<typeof useGridApiRef>, rows: readonly Row[]): Row[] {
  const table = grid.current;
  if (!table) return [...rows];
  return table.getSortedRowIds().flatMap((id) => {
    const line = table.getRow<Line>(id);
    return line && !isGroup(line) ? [line] : [];
  });
}

const isTyped = ({ row }: { row: Line }): boolean => !isGroup(row);

/** The cell that an element of the page lies in. */
function cellAt(target: EventTarget): CellAt | undefined {
  const cell = target instanceof Element ? target.closest<HTMLElement>('[role="gridcell"]') : null;
  const [field, id] = [cell?.dataset['field'], cell?.closest<HTMLElement>('[data-id]')?.dataset['id']];
  return field === undefined || id === undefined ? undefined : { id, field };
}

/** The number stays in sight while the table is moved to the side. Each cell that may stay is painted as a layer of its own: always so, they would slow scrolling. */
const FROZEN = { position: 'sticky', left: 0, zIndex: 2 } as const;
/** The tint that a row has, over the ground that hides what moves under it. */
const tint = (colour: string): string => `linear-gradient(${colour}, ${colour})`;
const HOVERED = tint('var(--mui-palette-action-hover)');
const CHOSEN = tint('rgba(var(--mui-palette-primary-mainChannel) / var(--mui-palette-action-selectedOpacity))');
const LOOK = {
  ...GRID_LOOK,
  '& .MuiDataGrid-cell.number': { bgcolor: 'background.paper', borderRight: 1, borderRightColor: 'divider' },
  '& .MuiDataGrid-columnHeader[data-field="number"]': { bgcolor: 'office.soft' },
  '& .MuiDataGrid-row:hover .MuiDataGrid-cell.number': { backgroundImage: HOVERED },
  '& .MuiDataGrid-row.Mui-selected .MuiDataGrid-cell.number': { backgroundImage: CHOSEN },
  [`& .MuiDataGrid-row .MuiDataGrid-cell[data-field="${FINDINGS}"]`]: { cursor: 'pointer' },
  '& .MuiDataGrid-cell.in-range, & .MuiDataGrid-cell.number.in-range': { bgcolor: 'office.accentGround' },
} as const;
const ASIDE_LOOK = {
  ...LOOK,
  '& .MuiDataGrid-cell.number': { ...LOOK['& .MuiDataGrid-cell.number'], ...FROZEN },
  '& .MuiDataGrid-columnHeader[data-field="number"]': { bgcolor: 'office.soft', ...FROZEN },
} as const;
