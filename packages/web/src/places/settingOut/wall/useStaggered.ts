import { useEffect, useEffectEvent, useState } from 'react';
import { flushSync } from 'react-dom';

/** A taker that is behind waits no longer than this many milliseconds for a moment in which nothing else is to be done. */
const PATIENCE = 120;

/**
 * Hands a value on to several takers, one at a time and when the browser is idle, so that what each of them does with it
 * never comes all at once, nor before what the hand is doing. While the value changes faster than that, the takers follow
 * in turns.
 * @returns the value that each taker has by now
 */
export function useStaggered<T>(value: T, takers: readonly string[]): ReadonlyMap<string, T> {
  const [taken, setTaken] = useState<ReadonlyMap<string, T>>(() => new Map(takers.map((taker) => [taker, value])));
  const [turn, setTurn] = useState(0);
  const behind = takers.some((taker) => taken.get(taker) !== value);
  const take = useEffectEvent(() => {
    const late = takers.map((_, i) => (turn + i) % takers.length).find((i) => taken.get(takers[i] ?? '') !== value);
    if (late === undefined) return;
    // At once: put off, it would come when the moment is over.
    flushSync(() => {
      setTaken(new Map(taken).set(takers[late] ?? '', value));
      setTurn(late + 1);
    });
  });
  // The idle moments of the browser lie outside of React. The wait goes on while the value changes.
  useEffect(() => (behind ? whenIdle(take) : undefined), [behind, taken]);
  return taken;
}

/** An idle moment that is shorter than this, in ms, is too short for a taker. */
const LONG_ENOUGH = 6;

/** Calls back when the browser is idle for a while; where it does not say when it is, after the next frame. */
function whenIdle(act: () => void): () => void {
  let frame = 0;
  if (typeof requestIdleCallback !== 'function') {
    frame = requestAnimationFrame(act);
    return () => cancelAnimationFrame(frame);
  }
  let idle = 0;
  const end = performance.now() + PATIENCE;
  const wait = (): void => {
    idle = requestIdleCallback(
      (deadline) => {
        if (deadline.timeRemaining() >= LONG_ENOUGH || performance.now() >= end) act();
        // Asked again at once, the browser would say again and again how little is left before the next frame.
        else frame = requestAnimationFrame(wait);
      },
      { timeout: PATIENCE },
    );
  };
  wait();
  return () => {
    cancelIdleCallback(idle);
    cancelAnimationFrame(frame);
  };
}
