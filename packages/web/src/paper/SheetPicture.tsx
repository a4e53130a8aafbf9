import { memo, useMemo } from 'react';
import Box from '@mui/material/Box';
import type { Drawing } from '@mendrel/core';
import { svgPicture } from '@mendrel/formats/svg';

interface Props {
  drawing: Drawing;
  width: number;
  height: number;
  label: string;
  /** Least line on screen in pixels: heavier than on paper, so that small pictures stay legible. */
  least?: number;
}

/** A small picture of a sheet: its lines, its fills and its larger texts as bars. */
export const SheetPicture = memo(function SheetPicture({ drawing, width, height, label, least = 0.7 }: Props) {
  const scale = Math.min(width / drawing.width, height / drawing.height);
  const markup = useMemo(
    () =>
      svgPicture(
        drawing.items.filter((item) => (item.kind === 'text' ? item.height * scale > 1.2 : true)),
        drawing.height,
        { emPerCapital: () => 1.43, ink: 'currentColor' },
      ),
    [drawing, scale],
  );
  const style = { '--least-line': `${least / scale}px` } as React.CSSProperties;
  return (
    <Box
      component="svg"
      role="img"
      aria-label={label}
      width={drawing.width * scale}
      height={drawing.height * scale}
      viewBox={`0 0 ${drawing.width} ${drawing.height}`}
      style={style}
      sx={{
        display: 'block',
        bgcolor: 'office.sheet',
        color: 'office.sheetInk',
        boxShadow: '0 0 0 1px rgba(0,0,0,0.18)',
      }}
      dangerouslySetInnerHTML={{ __html: markup }}
    />
  );
});
