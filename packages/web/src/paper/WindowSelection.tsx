import { useRef, useState } from 'react';
import Box from '@mui/material/Box';
import type { Point, Rect } from '@mendrel/core';

/** A window that is being drawn over the paper, in pixels of it. */
export interface WindowDrag {
  from: Point;
  to: Point;
}

const LEAST = 4;

export const windowRect = ({ from, to }: WindowDrag): Rect => ({
  x: Math.min(from.x, to.x),
  y: Math.min(from.y, to.y),
  width: Math.abs(to.x - from.x),
  height: Math.abs(to.y - from.y),
});

/**
 * Draws a window with the pointer while Shift is held down; a plain drag moves the paper.
 * @param onWindow the window in pixels, when it is let go and larger than a click
 */
export function useWindowDrag(onWindow: ((rect: Rect) => void) | undefined): {
  drag: WindowDrag | undefined;
  handlers: React.DOMAttributes<HTMLElement>;
} {
  const [drag, setDrag] = useState<WindowDrag>();
  const windowed = useRef(false);
  if (!onWindow) return { drag: undefined, handlers: {} };
  const at = (event: React.PointerEvent<HTMLElement>): Point => {
    const box = event.currentTarget.getBoundingClientRect();
    return { x: event.clientX - box.left, y: event.clientY - box.top };
  };
  return {
    drag,
    handlers: {
      onPointerDown(event) {
        const onHandle = event.target instanceof Element && event.target.closest('[data-handle]') !== null;
        if (!event.shiftKey || event.button !== 0 || onHandle) return;
        event.currentTarget.setPointerCapture(event.pointerId);
        setDrag({ from: at(event), to: at(event) });
      },
      onPointerMove(event) {
        if (drag) setDrag({ ...drag, to: at(event) });
      },
      onPointerUp() {
        if (!drag) return;
        const rect = windowRect(drag);
        setDrag(undefined);
        if (Math.max(rect.width, rect.height) <= LEAST) return;
        windowed.current = true;
        onWindow(rect);
      },
      // The click that ends a window picks nothing.
      onClickCapture(event) {
        if (windowed.current) event.stopPropagation();
        windowed.current = false;
      },
      onPointerCancel: () => setDrag(undefined),
    },
  };
}

export function WindowOutline({ drag }: { drag: WindowDrag }) {
  const { x, y, width, height } = windowRect(drag);
  return (
    <Box
      style={{ left: x, top: y, width, height }}
      sx={{
        position: 'absolute',
        pointerEvents: 'none',
        border: '1px dashed',
        borderColor: 'primary.main',
        bgcolor: 'rgba(15,111,103,0.10)',
      }}
    />
  );
}
