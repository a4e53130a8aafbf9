import { useEffect, useEffectEvent, useState } from 'react';

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
    setTaken(new Map(taken).set(takers[late] ?? '', value));
    setTurn(late + 1);
  });
  // The idle moments of the browser lie outside of React. The wait goes on while the value changes.
  useEffect(() => (behind ? whenIdle(take) : undefined), [behind, taken]);
  return taken;
}

/** Calls back when the browser is idle after its next frame; where it does not say when it is, after the frame. */
function whenIdle(act: () => void): () => void {
  let idle: number | undefined;
  // At most once a frame: takers one after another would fill the time that the hand's next movement needs.
  const frame = requestAnimationFrame(() => {
    if (typeof requestIdleCallback === 'function') idle = requestIdleCallback(act, { timeout: PATIENCE });
    else act();
  });
  return () => {
    cancelAnimationFrame(frame);
    if (idle !== undefined) cancelIdleCallback(idle);
  };
}
