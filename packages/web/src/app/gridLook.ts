/** How a table of many rows looks, wherever one stands. */
export const GRID_LOOK = {
  bgcolor: 'background.paper',
  '--DataGrid-t-header-background-base': 'var(--mui-palette-office-soft)',
  '& .MuiDataGrid-columnHeaderTitle': { fontWeight: 600, color: 'text.secondary' },
  '& .MuiDataGrid-cell': { fontSize: '0.8125rem' },
  fontVariantNumeric: 'tabular-nums',
} as const;

/** A table that is a list: its rows are opened, and all of them are on one page. */
export const LIST_GRID = {
  rowHeight: 46,
  columnHeaderHeight: 38,
  hideFooter: true,
  disableColumnMenu: true,
  disableRowSelectionOnClick: true,
  sx: GRID_LOOK,
} as const;
