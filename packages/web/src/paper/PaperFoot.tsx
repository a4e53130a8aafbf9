import { memo } from 'react';
import AddIcon from '@mui/icons-material/Add';
import RemoveIcon from '@mui/icons-material/Remove';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonGroup from '@mui/material/ButtonGroup';
import type { Rect } from '@mendrel/core';

interface Props {
  /** The paper's true size in words. */
  extent: string;
  percent: number;
  whole: Rect;
  views: readonly { name: string; rect: Rect }[];
  show: (rect: Rect) => void;
  zoomBy: (factor: number) => void;
}

/** The line under the paper: its true size, the zoom, and the parts to go to. */
export const PaperFoot = memo(function PaperFoot({ extent, percent, whole, views, show, zoomBy }: Props) {
  return (
    <Box
      sx={{
        flex: 'none',
        height: 30,
        px: 3,
        display: 'flex',
        alignItems: 'center',
        justifyContent: 'space-between',
        bgcolor: 'office.soft',
        borderTop: 1,
        borderColor: 'divider',
        fontSize: '0.75rem',
        color: 'text.secondary',
      }}
    >
      <span>
        {extent} · {percent} %
      </span>
      <ButtonGroup size="small" variant="text" aria-label="Zoom">
        <Button onClick={() => show(whole)}>Sheet</Button>
        {views.map(({ name, rect }) => (
          <Button key={name} onClick={() => show(rect)}>
            {name}
          </Button>
        ))}
        <Button aria-label="Zoom out" onClick={() => zoomBy(0.8)} sx={{ minWidth: 28 }}>
          <RemoveIcon fontSize="inherit" />
        </Button>
        <Button aria-label="Zoom in" onClick={() => zoomBy(1.25)} sx={{ minWidth: 28 }}>
          <AddIcon fontSize="inherit" />
        </Button>
      </ButtonGroup>
    </Box>
  );
});
