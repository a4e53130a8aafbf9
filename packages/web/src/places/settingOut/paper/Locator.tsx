import { memo } from 'react';
import Box from '@mui/material/Box';
import type { Drawing } from '@mendrel/core';
import type { OverlayView } from '../../../paper/Paper';
import { SheetPicture } from '../../../paper/SheetPicture';
import { onPaper } from '../../../paper/viewport';

const WIDTH = 132;

/** Where on the sheet the close-up is. Hidden while the whole sheet is in view anyway. */
export const Locator = memo(function Locator({ drawing, view }: { drawing: Drawing; view: OverlayView }) {
  const { viewport, size } = view;
  const upper = onPaper(viewport, drawing.height, 0, 0);
  const lower = onPaper(viewport, drawing.height, size.width, size.height);
  if (lower.x - upper.x > drawing.width * 0.8) return null;
  const scale = Math.min(WIDTH / drawing.width, 94 / drawing.height);
  const clampX = (x: number): number => Math.max(0, Math.min(drawing.width, x)) * scale;
  const clampY = (y: number): number => (drawing.height - Math.max(0, Math.min(drawing.height, y))) * scale;
  const box = { left: clampX(upper.x), top: clampY(upper.y), right: clampX(lower.x), bottom: clampY(lower.y) };
  return (
    <Box
      sx={{
        position: 'absolute',
        right: 12,
        top: 12,
        p: 2,
        bgcolor: 'background.paper',
        borderRadius: 1.5,
        boxShadow: 2,
        pointerEvents: 'none',
      }}
    >
      <Box sx={{ position: 'relative' }}>
        <SheetPicture drawing={drawing} width={WIDTH} height={94} label="Where on the sheet this is" />
        <Box
          style={{
            left: box.left,
            top: box.top,
            width: Math.max(4, box.right - box.left),
            height: Math.max(4, box.bottom - box.top),
          }}
          sx={{ position: 'absolute', border: 2, borderColor: 'office.here', bgcolor: 'rgba(224,164,88,0.18)' }}
        />
      </Box>
    </Box>
  );
});
