import { useState } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { counted } from '@mendrel/core';

/** What can be done with the register, or with sheets that were chosen in it. */
export interface RegisterActions {
  onAdd: () => void;
  onFind: () => void;
  onColumns: () => void;
  onLarge: () => void;
  onDownload: (as: 'csv' | 'xlsx') => void;
  onRead: () => void;
  onSet: () => void;
  onRenumber: () => void;
  /** Where there is a design to tell others from. */
  onDesign: (() => void) | undefined;
  onMove: () => void;
  onCopy: () => void;
  onDelete: () => void;
  onChooseNone: () => void;
}

interface Props extends RegisterActions {
  summary: string;
  /** Whether pictures are large. */
  large: boolean;
  /** How many sheets are chosen. */
  chosen: number;
  /** What puts the rows in order, where they are in another one. */
  sorting: { words: string; run: () => void } | undefined;
  filter: string;
  onFilter: (filter: string) => void;
}

/** The bar over the register: what it holds, and what can be done with it; with sheets chosen, what can be done with those. */
export function RegisterBar(props: Props) {
  const { summary, chosen, sorting, filter, onFilter, onAdd } = props;
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, minHeight: 36 }}>
      {chosen > 0 ? (
        <Chosen {...props} />
      ) : (
        <Box role="status" aria-label="In short" sx={{ flex: 1, color: 'text.secondary' }}>
          {summary}
        </Box>
      )}
      {sorting ? <Button onClick={sorting.run}>{sorting.words}</Button> : null}
      <TextField
        label="Show only"
        value={filter}
        onChange={(event) => onFilter(event.target.value)}
        sx={{ width: 150 }}
        slotProps={{ htmlInput: { 'aria-label': 'Show only sheets with these words' } }}
      />
      <More {...props} />
      <Button variant="contained" onClick={onAdd}>
        Add a sheet
      </Button>
    </Box>
  );
}

function Chosen({ chosen, onSet, onRenumber, onDesign, onMove, onCopy, onDelete, onChooseNone }: Props) {
  return (
    <Box
      role="group"
      aria-label="Chosen sheets"
      sx={{ flex: 1, display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}
    >
      <Box role="status" sx={{ mr: 2, fontWeight: 600 }}>
        {counted(chosen, 'sheet')} chosen
      </Box>
      <Button size="small" onClick={onSet}>
        Set a value…
      </Button>
      <Button size="small" onClick={onRenumber}>
        Renumber…
      </Button>
      {onDesign ? (
        <Button size="small" onClick={onDesign}>
          Design…
        </Button>
      ) : null}
      <Button size="small" onClick={onMove}>
        Move…
      </Button>
      <Button size="small" onClick={onCopy}>
        Copy…
      </Button>
      <Button size="small" color="inherit" onClick={onDelete}>
        Delete…
      </Button>
      <Button size="small" color="inherit" onClick={onChooseNone}>
        Choose none
      </Button>
    </Box>
  );
}

function More({ large, onFind, onColumns, onLarge, onDownload, onRead }: Props) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const entries: [string, () => void][] = [
    ['Find and replace…', onFind],
    ['Columns…', onColumns],
    [large ? 'Small pictures' : 'Large pictures', onLarge],
    ['Download as CSV', () => onDownload('csv')],
    ['Download as XLSX', () => onDownload('xlsx')],
    ['Read a table…', onRead],
  ];
  return (
    <>
      <Button aria-haspopup="menu" aria-expanded={anchor !== null} onClick={(event) => setAnchor(event.currentTarget)}>
        Table…
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        {entries.map(([words, run]) => (
          <MenuItem
            key={words}
            onClick={() => {
              setAnchor(null);
              run();
            }}
          >
            {words}
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
