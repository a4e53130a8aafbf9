import { useEffect, useState } from 'react';

/**
 * Hands a value on to several takers, one of them per frame of the screen, so that what each of them does with it never
 * comes all at once. While the value changes faster than that, the takers follow in turns.
 * @returns the value that each taker has by now
 */
export function useStaggered<T>(value: T, takers: readonly string[]): ReadonlyMap<string, T> {
  const [taken, setTaken] = useState<ReadonlyMap<string, T>>(() => new Map(takers.map((taker) => [taker, value])));
  const [turn, setTurn] = useState(0);
  const behind = takers.some((taker) => taken.get(taker) !== value);
  // The frames of the screen lie outside of React.
  useEffect(() => {
    if (!behind) return;
    const frame = requestAnimationFrame(() => {
      const late = takers.map((_, i) => (turn + i) % takers.length).find((i) => taken.get(takers[i] ?? '') !== value);
      if (late === undefined) return;
      setTaken(new Map(taken).set(takers[late] ?? '', value));
      setTurn(late + 1);
    });
    return () => cancelAnimationFrame(frame);
  }, [behind, taken, takers, turn, value]);
  return taken;
}
