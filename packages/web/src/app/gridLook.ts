/** How a table of many rows looks, wherever one stands. */
export const GRID_LOOK = {
  bgcolor: 'background.paper',
  '--DataGrid-t-header-background-base': 'var(--mui-palette-office-soft)',
  '& .MuiDataGrid-columnHeaderTitle': { fontWeight: 600, color: 'text.secondary' },
  '& .MuiDataGrid-cell': { fontSize: '0.8125rem' },
  fontVariantNumeric: 'tabular-nums',
} as const;
