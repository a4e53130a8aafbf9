import { memo } from 'react';
import AddIcon from '@mui/icons-material/Add';
import RemoveIcon from '@mui/icons-material/Remove';
import Button from '@mui/material/Button';
import ButtonGroup from '@mui/material/ButtonGroup';
import { styled } from '@mui/material/styles';
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

const Foot = styled('div')(({ theme }) => ({
  flex: 'none',
  height: 30,
  padding: theme.spacing(0, 3),
  display: 'flex',
  alignItems: 'center',
  justifyContent: 'space-between',
  backgroundColor: theme.vars?.palette.office.soft,
  borderTop: `1px solid ${theme.vars?.palette.divider}`,
  fontSize: '0.75rem',
  color: theme.vars?.palette.text.secondary,
}));

/** The line under the paper: its true size, the zoom, and the parts to go to. */
export const PaperFoot = memo(function PaperFoot({ extent, percent, ...parts }: Props) {
  return (
    <Foot>
      <span>
        {extent} · {percent} %
      </span>
      <ZoomButtons {...parts} />
    </Foot>
  );
});

/** They stay as they are while the zoom changes with every step of the wheel. */
const ZoomButtons = memo(function ZoomButtons({ whole, views, show, zoomBy }: Omit<Props, 'extent' | 'percent'>) {
  return (
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
  );
});
