import { useEffect, useRef } from 'react';

interface OncePerFrame {
  /** Does something in the next frame, in place of what was to be done in it. */
  ask: (act: () => void) => void;
  /** Does at once what was still to be done. */
  finish: () => void;
  /** Leaves undone what was still to be done. */
  forget: () => void;
}

/** Does the latest of many things once a frame: a pointer moves more often than the screen is drawn. */
export function useOncePerFrame(): OncePerFrame {
  const waiting = useRef<{ frame: number; act: () => void }>(undefined);
  const take = (): (() => void) | undefined => {
    const { frame, act } = waiting.current ?? {};
    if (frame !== undefined) cancelAnimationFrame(frame);
    waiting.current = undefined;
    return act;
  };
  // Frames are drawn outside of React.
  useEffect(
    () => () => {
      if (waiting.current) cancelAnimationFrame(waiting.current.frame);
    },
    [],
  );
  return {
    ask(act) {
      const frame = waiting.current?.frame ?? requestAnimationFrame(() => take()?.());
      waiting.current = { frame, act };
    },
    finish: () => take()?.(),
    forget: () => void take(),
  };
}
