import { useEffect, useState } from 'react';

/** How long after the last movement something stands still, in ms. */
const PAUSE = 150;

/** Whether what is looked at, and from where, has not changed for a moment: what takes long to paint is painted then. */
export function useAtRest(looked: unknown, from: unknown): boolean {
  const [rested, setRested] = useState<{ looked: unknown; from: unknown }>();
  useEffect(() => {
    const timer = setTimeout(() => setRested({ looked, from }), PAUSE);
    return () => clearTimeout(timer);
  }, [looked, from]);
  return rested !== undefined && rested.looked === looked && rested.from === from;
}
