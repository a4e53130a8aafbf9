import { useRef } from 'react';

/** Work that is done one after the other. */
export interface InTurn {
  /** Does it after what is under way: it begins with what that has left. */
  inTurn: <T>(work: () => Promise<T>) => Promise<T>;
  /** Resolves once nothing is under way. */
  settled: () => Promise<void>;
}

/** Keeps an order among pieces of work that each need the answer to the one before. */
export function useInTurn(): InTurn {
  const underWay = useRef<Promise<unknown>>(Promise.resolve());
  return {
    inTurn: (work) => {
      const now = underWay.current.then(work);
      underWay.current = now.catch(() => undefined);
      return now;
    },
    settled: () => underWay.current.then(() => undefined),
  };
}
