import { useEffect, useState } from 'react';

export type CompareMode = 'slider' | 'blink' | 'difference';

/** How the old drawing and the design are shown over each other. */
export interface Comparison {
  mode: CompareMode;
  setMode: (mode: CompareMode) => void;
  /** How far the slider stands toward the design, 0 to 100. */
  balance: number;
  setBalance: (balance: number) => void;
  /** How much of the design is seen, 0 to 1; the rest is the old drawing. */
  share: number;
}

/** Each of the two is shown this long, in ms: slower than what may harm anyone. */
const BLINK = 900;

export function useComparison(): Comparison {
  const [mode, setMode] = useState<CompareMode>('slider');
  const [balance, setBalance] = useState(70);
  const [design, setDesign] = useState(true);
  // The clock lies outside of React.
  useEffect(() => {
    if (mode !== 'blink') return;
    const timer = setInterval(() => setDesign((shown) => !shown), BLINK);
    return () => clearInterval(timer);
  }, [mode]);
  return { mode, setMode, balance, setBalance, share: mode === 'blink' ? (design ? 1 : 0) : balance / 100 };
}
