import { ROW_CONTROLS_LOOK, RowBox } from './rowControls';

/** How a table of many rows looks, wherever one stands. */
export const GRID_LOOK = {
  bgcolor: 'background.paper',
  '& .MuiDataGrid-columnHeaderTitle': { fontWeight: 600, color: 'text.secondary' },
  '& .MuiDataGrid-cell': { fontSize: '0.8125rem' },
  // With a ground of its own it is moved by the browser at once, whatever the page is busy with: without, half the frames of a
  // turned wheel wait for the rows.
  '& .MuiDataGrid-virtualScroller': { bgcolor: 'background.paper' },
  // A row that comes while the table is scrolled is painted by itself: a fifth of a frame's work.
  '& .MuiDataGrid-row': { contain: 'layout paint style' },
  ...ROW_CONTROLS_LOOK,
  fontVariantNumeric: 'tabular-nums',
} as const;

/**
 * All rows on one page, those seen built, and how they look. Without it the grid shows pages of a hundred rows, and no way to those
 * after them where it has no footer.
 */
export const ALL_ROWS = {
  hideFooter: true,
  paginationModel: { page: 0, pageSize: -1 },
  slots: { baseCheckbox: RowBox },
  sx: GRID_LOOK,
} as const;

/** A table that is a list: its rows are opened, and all of them are on one page. */
export const LIST_GRID = {
  ...ALL_ROWS,
  rowHeight: 46,
  columnHeaderHeight: 38,
  disableColumnMenu: true,
  disableRowSelectionOnClick: true,
} as const;
