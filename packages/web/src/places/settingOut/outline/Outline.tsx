import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import Typography from '@mui/material/Typography';
import type { Cell, Design, Dock, Loose, SheetLayout } from '@mendrel/core';
import { cellLabel } from '@mendrel/core';
import { LOOSE_WORDS } from '../details/LooseDetails';
import { DOCK_WORDS } from '../details/PanelDetails';
import { lengthWords } from '../paper/dividers';
import { Sign } from '../../../app/FindingMark';

interface Row {
  id: string;
  label: string;
  depth: number;
  size: string;
  /** Left out on the sheet shown. */
  left: boolean;
  locked: boolean;
  /** The worst that was found at it. */
  mark: 'error' | 'gap' | undefined;
}

function rowsOf(design: Design, layout: SheetLayout | undefined, faulty: string | undefined): Row[] {
  const rows: Row[] = [];
  const places = new Map(layout?.cells.map((cell) => [cell.id, cell]));
  const marks = new Map<string, 'error' | 'gap'>();
  for (const { weight, kind, where } of layout?.findings ?? []) {
    if (!where.cell || weight === 'note' || kind === 'missing') continue;
    if (marks.get(where.cell) !== 'error') marks.set(where.cell, weight);
  }
  const markOf = (id: string): Row['mark'] => (faulty === id ? 'error' : marks.get(id));
  const walk = (cell: Cell, depth: number, label: string, size: string, locked: boolean): void => {
    const left = layout?.hidden.has(cell.id) ?? false;
    rows.push({ id: cell.id, label, depth, size: left ? 'left out' : size, left, locked, mark: markOf(cell.id) });
    for (const child of cell.division?.children ?? []) {
      const byRow = (cell.division?.rows.length ?? 1) > 1;
      const track = byRow ? cell.division?.rows[child.row] : cell.division?.columns[child.column];
      const at = places.get(child.cell.id);
      const length = byRow ? at?.height : at?.width;
      const words = track && 'share' in track ? '*' : length === undefined ? '' : lengthWords(length, design.unit);
      walk(child.cell, depth + 1, cellLabel(child.cell), words, false);
    }
  };
  for (const panel of design.panels) {
    const at = layout?.panels.find((each) => each.id === panel.id);
    const edge = panel.dock === 'right' || panel.dock === 'left' ? at?.width : undefined;
    const extent = panel.dock === 'top' || panel.dock === 'bottom' ? at?.height : edge;
    const size =
      extent !== undefined
        ? `${lengthWords(extent, design.unit)} ${design.unit}`
        : at
          ? `${lengthWords(at.width, design.unit)} × ${lengthWords(at.height, design.unit)}`
          : '';
    walk(panel.root, 0, panel.name, size, panel.locked ?? false);
  }
  for (const loose of design.loose ?? []) {
    const own = loose.kind === 'stamp' ? loose.pattern : loose.kind === 'picture' ? loose.name : '';
    const label = own || LOOSE_WORDS[loose.kind];
    rows.push({ id: loose.id, label, depth: 0, size: loose.kind, left: false, locked: false, mark: markOf(loose.id) });
  }
  return rows;
}

interface Props {
  design: Design;
  layout: SheetLayout | undefined;
  selection: readonly string[];
  /** The cell or panel at which the design cannot be solved. */
  faulty: string | undefined;
  onSelect: (id: string | undefined, add: boolean) => void;
  onSelectMany: (ids: readonly string[]) => void;
  onAddPanel: (dock: Dock) => void;
  onAddLoose: (kind: Loose['kind']) => void;
  /** Asks for a panel of another design. */
  onTakePanel: () => void;
}

const NEW_DOCKS: readonly Dock[] = ['right', 'left', 'bottom', 'top', 'lower-right', 'upper-right', 'floating'];

/** The panels and cells of the design as a quiet list; arrow keys go through it. */
export function Outline({ design, layout, selection, faulty, onSelect, onSelectMany, ...adding }: Props) {
  const rows = rowsOf(design, layout, faulty);
  const selected = selection.at(-1);
  const index = rows.findIndex((row) => row.id === selected);
  /** Selects everything between what was selected last and a row, the row last. */
  const reach = (to: number): void => {
    if (index < 0) return;
    const between = rows.slice(Math.min(index, to), Math.max(index, to) + 1).map((row) => row.id);
    const others = selection.filter((each) => !between.includes(each));
    onSelectMany([...others, ...(to < index ? between.reverse() : between)]);
  };
  const go = (to: number, add: boolean): void => {
    const row = rows[Math.max(0, Math.min(rows.length - 1, to))];
    if (!row) return;
    onSelect(row.id, add);
    document.getElementById(`outline-${row.id}`)?.scrollIntoView({ block: 'nearest' });
  };
  return (
    <Box component="section" aria-labelledby="outline-heading" sx={{ py: 3 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', px: 3.5, pb: 1 }}>
        <Typography id="outline-heading" variant="h3" component="h2" sx={{ color: 'text.secondary', flex: 1 }}>
          Outline
        </Typography>
        <AddMenu {...adding} />
      </Box>
      {rows.length === 0 ? (
        <Typography sx={{ px: 3.5, pb: 2, color: 'text.secondary' }}>
          Only the frame so far. Add… a panel to start with.
        </Typography>
      ) : (
        <Box
          role="tree"
          aria-label="Panels and cells"
          aria-multiselectable
          tabIndex={0}
          aria-activedescendant={index >= 0 ? `outline-${selected}` : undefined}
          onKeyDown={(event) => {
            if (event.key === 'ArrowDown') go(index + 1, event.shiftKey);
            else if (event.key === 'ArrowUp') go(index - 1, event.shiftKey);
            else if (event.key === 'Home') go(0, false);
            else if (event.key === 'End') go(rows.length - 1, false);
            else return;
            event.preventDefault();
          }}
          sx={{ '&:focus-visible': { outline: '2px solid', outlineColor: 'primary.main', outlineOffset: -2 } }}
        >
          {rows.map((row, i) => (
            <OutlineRow
              key={row.id}
              row={row}
              selected={selection.includes(row.id)}
              onSelect={(event) => {
                if (event.shiftKey && index >= 0) reach(i);
                else onSelect(row.id, event.ctrlKey || event.metaKey);
              }}
            />
          ))}
        </Box>
      )}
      <Box
        component="button"
        type="button"
        onClick={() => onSelect(undefined, false)}
        sx={{
          all: 'unset',
          boxSizing: 'border-box',
          width: '100%',
          cursor: 'pointer',
          display: 'flex',
          px: 3.5,
          py: 1.25,
          fontSize: '0.8125rem',
          color: selection.length === 0 ? 'primary.main' : 'text.secondary',
          fontWeight: selection.length === 0 ? 600 : 400,
          bgcolor: selection.length === 0 ? 'office.accentGround' : 'transparent',
          '&:focus-visible': { outline: '2px solid', outlineColor: 'primary.main', outlineOffset: -2 },
        }}
      >
        <Box component="span" sx={{ flex: 1 }}>
          Sheet and frame
        </Box>
        {layout
          ? `${lengthWords(layout.drawingArea.width, design.unit)} × ${lengthWords(layout.drawingArea.height, design.unit)}`
          : ''}
      </Box>
    </Box>
  );
}

function OutlineRow({
  row,
  selected,
  onSelect,
}: {
  row: Row;
  selected: boolean;
  onSelect: (event: React.MouseEvent) => void;
}) {
  const { id, label, depth, size, left, locked, mark } = row;
  return (
    <Box
      id={`outline-${id}`}
      role="treeitem"
      aria-level={depth + 1}
      aria-selected={selected}
      onClick={onSelect}
      sx={{
        display: 'flex',
        gap: 2,
        pl: 3.5 + depth * 3,
        pr: 3.5,
        py: 1.25,
        cursor: 'pointer',
        userSelect: 'none',
        color: selected ? 'primary.main' : left ? 'text.secondary' : 'text.primary',
        fontStyle: left ? 'italic' : 'normal',
        fontWeight: selected ? 600 : 400,
        bgcolor: selected ? 'office.accentGround' : 'transparent',
        fontSize: '0.8125rem',
      }}
    >
      <Box sx={{ flex: 1, minWidth: 0, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
        {label}
      </Box>
      {mark ? (
        <Box
          component="span"
          role="img"
          aria-label={mark === 'error' ? 'conflict' : 'room left over'}
          sx={{ color: mark === 'error' ? 'error.main' : 'warning.main' }}
        >
          <Sign weight={mark} />
        </Box>
      ) : null}
      <Box sx={{ color: selected ? 'inherit' : 'text.secondary', whiteSpace: 'nowrap' }}>
        {locked ? 'locked · ' : ''}
        {size}
      </Box>
    </Box>
  );
}

type Adding = Pick<Props, 'onAddPanel' | 'onAddLoose' | 'onTakePanel'>;

function AddMenu({ onAddPanel, onAddLoose, onTakePanel }: Adding) {
  const [anchor, setAnchor] = useState<HTMLElement>();
  const choose = (run: () => void): void => {
    setAnchor(undefined);
    run();
  };
  return (
    <>
      <Button size="small" aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        Add…
      </Button>
      <Menu anchorEl={anchor ?? null} open={anchor !== undefined} onClose={() => setAnchor(undefined)}>
        {NEW_DOCKS.map((dock) => (
          <MenuItem key={dock} onClick={() => choose(() => onAddPanel(dock))}>
            Panel, {DOCK_WORDS[dock].toLowerCase()}
          </MenuItem>
        ))}
        <MenuItem onClick={() => choose(onTakePanel)}>Panel of another design…</MenuItem>
        {(['line', 'rectangle', 'stamp', 'picture'] as const).map((kind) => (
          <MenuItem key={kind} divider={false} onClick={() => choose(() => onAddLoose(kind))}>
            {LOOSE_WORDS[kind]}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
