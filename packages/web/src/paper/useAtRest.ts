import { useEffect, useState } from 'react';
import type { PointerEvent } from 'react';

/** How long after the last movement something stands still, in ms. */
const PAUSE = 150;

/**
 * Whether a paper stands still: what it shows and from where has not changed for a moment, and nothing is dragged on it. What takes long
 * to paint is painted then.
 */
export function useAtRest(drawing: unknown, viewport: unknown) {
  const [rested, setRested] = useState<{ drawing: unknown; viewport: unknown }>();
  const [dragged, setDragged] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setRested({ drawing, viewport }), PAUSE);
    return () => clearTimeout(timer);
  }, [drawing, viewport]);
  const letGo = (): void => setDragged(false);
  return {
    atRest: !dragged && rested !== undefined && rested.drawing === drawing && rested.viewport === viewport,
    /** For the element on which things are dragged, before whatever drags them. */
    pointer: {
      onPointerMoveCapture: ({ buttons }: PointerEvent): void => setDragged(buttons !== 0),
      onPointerUpCapture: letGo,
      onPointerCancelCapture: letGo,
    },
  };
}
