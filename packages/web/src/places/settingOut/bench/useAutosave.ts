import { useEffect, useRef } from 'react';

/** How long after the last edit a draft is saved, in milliseconds. */
const PAUSE = 1500;

/**
 * Saves a draft when nobody has edited it for a moment.
 * @param draft the edited document; another object after every edit
 * @param due whether it differs from what is saved, and nothing stands in the way
 */
export function useAutosave(draft: unknown, due: boolean, save: () => void): void {
  const latest = useRef(save);
  useEffect(() => {
    latest.current = save;
  });
  // A timer lives outside of React.
  useEffect(() => {
    if (!due) return;
    const timer = setTimeout(() => latest.current(), PAUSE);
    return () => clearTimeout(timer);
  }, [draft, due]);
}
