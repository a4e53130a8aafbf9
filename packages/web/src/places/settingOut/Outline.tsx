import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Cell, Design, SheetLayout } from '@mendrel/core';
import { cellLabel } from '@mendrel/core';
import { lengthWords } from './dividers';

interface Row {
  cell: Cell;
  label: string;
  depth: number;
  size: string;
}

function rowsOf(design: Design, layout: SheetLayout | undefined): Row[] {
  const rows: Row[] = [];
  const walk = (cell: Cell, depth: number, label: string, size: string): void => {
    rows.push({ cell, label, depth, size });
    const at = layout?.cells.find((each) => each.id === cell.id);
    for (const child of cell.division?.children ?? []) {
      const byRow = (cell.division?.rows.length ?? 1) > 1;
      const track = byRow ? cell.division?.rows[child.row] : cell.division?.columns[child.column];
      const limits = byRow ? at?.rows : at?.columns;
      const index = byRow ? child.row : child.column;
      const length = limits ? Math.abs((limits[index + 1] ?? 0) - (limits[index] ?? 0)) : undefined;
      const words = track && 'share' in track ? '*' : length === undefined ? '' : lengthWords(length, design.unit);
      walk(child.cell, depth + 1, cellLabel(child.cell), words);
    }
  };
  for (const panel of design.panels) {
    const at = layout?.panels.find((each) => each.id === panel.id);
    const extent = at
      ? panel.dock === 'right' || panel.dock === 'left'
        ? at.width
        : panel.dock === 'top' || panel.dock === 'bottom'
          ? at.height
          : undefined
      : undefined;
    const size =
      extent !== undefined
        ? `${lengthWords(extent, design.unit)} ${design.unit}`
        : at
          ? `${lengthWords(at.width, design.unit)} × ${lengthWords(at.height, design.unit)}`
          : '';
    walk(panel.root, 0, panel.name, size);
  }
  return rows;
}

interface Props {
  design: Design;
  layout: SheetLayout | undefined;
  selected: string | undefined;
  onSelect: (id: string) => void;
}

/** The panels and cells of the design as a quiet list; arrow keys go through it. */
export function Outline({ design, layout, selected, onSelect }: Props) {
  const rows = rowsOf(design, layout);
  const index = rows.findIndex((row) => row.cell.id === selected);
  const go = (to: number): void => {
    const row = rows[Math.max(0, Math.min(rows.length - 1, to))];
    if (!row) return;
    onSelect(row.cell.id);
    document.getElementById(`outline-${row.cell.id}`)?.scrollIntoView({ block: 'nearest' });
  };
  return (
    <Box component="section" aria-labelledby="outline-heading" sx={{ py: 3 }}>
      <Typography id="outline-heading" variant="h3" component="h2" sx={{ color: 'text.secondary', px: 3.5, pb: 1.5 }}>
        Outline
      </Typography>
      <Box
        role="tree"
        aria-label="Panels and cells"
        tabIndex={0}
        aria-activedescendant={index >= 0 ? `outline-${selected}` : undefined}
        onKeyDown={(event) => {
          if (event.key === 'ArrowDown') go(index + 1);
          else if (event.key === 'ArrowUp') go(index - 1);
          else if (event.key === 'Home') go(0);
          else if (event.key === 'End') go(rows.length - 1);
          else return;
          event.preventDefault();
        }}
        sx={{ '&:focus-visible': { outline: '2px solid', outlineColor: 'primary.main', outlineOffset: -2 } }}
      >
        {rows.map(({ cell, label, depth, size }) => (
          <Box
            key={cell.id}
            id={`outline-${cell.id}`}
            role="treeitem"
            aria-level={depth + 1}
            aria-selected={cell.id === selected}
            onClick={() => onSelect(cell.id)}
            sx={{
              display: 'flex',
              gap: 2,
              pl: 3.5 + depth * 3.5,
              pr: 3.5,
              py: 1.25,
              cursor: 'pointer',
              color: cell.id === selected ? 'primary.main' : 'text.primary',
              fontWeight: cell.id === selected ? 600 : 400,
              bgcolor: cell.id === selected ? 'office.accentGround' : 'transparent',
              fontSize: '0.8125rem',
            }}
          >
            <Box sx={{ flex: 1, minWidth: 0, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
              {label}
            </Box>
            <Box sx={{ color: cell.id === selected ? 'inherit' : 'text.secondary', whiteSpace: 'nowrap' }}>{size}</Box>
          </Box>
        ))}
        {layout ? (
          <Box sx={{ display: 'flex', px: 3.5, py: 1.25, fontSize: '0.8125rem', color: 'text.secondary' }}>
            <Box sx={{ flex: 1 }}>Drawing area</Box>
            {lengthWords(layout.drawingArea.width, design.unit)} × {lengthWords(layout.drawingArea.height, design.unit)}
          </Box>
        ) : null}
      </Box>
    </Box>
  );
}
