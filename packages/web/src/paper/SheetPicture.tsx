import { memo, useEffect, useRef } from 'react';
import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import type { Drawing } from '@mendrel/core';
import { clearedCanvas, paintDrawing } from './paintDrawing';
import { smallImage, unpackImages } from './unpackedImages';

interface Props {
  drawing: Drawing;
  width: number;
  height: number;
  label: string;
  /** Least line on screen in pixels: heavier than on paper, so that small pictures stay legible. */
  least?: number;
}

/**
 * A small picture of a sheet: its lines, its fills and its larger texts as bars. It is painted rather than built of
 * elements, since it is painted again and again while a design is edited.
 */
export const SheetPicture = memo(function SheetPicture({ drawing, width, height, label, least = 0.7 }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const { palette } = useTheme();
  const scale = Math.min(width / drawing.width, height / drawing.height);
  // The ink is the same in light and dark, as the paper is; asking the element for it would lay the page out each time.
  const ink = palette.office.sheetInk;
  useEffect(() => {
    const paint = (): void => {
      const context = canvas.current && clearedCanvas(canvas.current, drawing.width * scale, drawing.height * scale);
      if (context) paintDrawing(context, drawing, { viewport: { scale, x: 0, y: 0 }, least, ink, image: smallImage });
    };
    paint();
    // Images are grey areas until they are unpacked.
    return unpackImages(drawing, paint);
  }, [drawing, scale, least, ink]);
  return (
    <Box
      component="canvas"
      ref={canvas}
      role="img"
      aria-label={label}
      style={{ width: drawing.width * scale, height: drawing.height * scale }}
      sx={{
        display: 'block',
        flex: 'none',
        bgcolor: 'office.sheet',
        boxShadow: '0 0 0 1px rgba(0,0,0,0.18)',
      }}
    />
  );
});
