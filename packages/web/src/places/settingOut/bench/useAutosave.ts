import { useEffect, useRef } from 'react';

/** How long after the last edit a draft is saved, and after an attempt that nobody answered; in milliseconds. */
const PAUSE = 1500;
const PAUSE_UNANSWERED = 4000;

/**
 * Saves a draft when nobody has edited it for a moment.
 * @param draft the edited document; another object after every edit
 * @param due whether it differs from what is saved, and nothing stands in the way
 * @param unanswered whether the last attempt failed because server or database were away, which passes by itself
 */
export function useAutosave(draft: unknown, due: boolean, save: () => void, unanswered = false): void {
  const latest = useRef(save);
  useEffect(() => {
    latest.current = save;
  });
  // A timer lives outside of React.
  useEffect(() => {
    if (!due) return;
    const timer = setTimeout(() => latest.current(), unanswered ? PAUSE_UNANSWERED : PAUSE);
    return () => clearTimeout(timer);
  }, [draft, due, unanswered]);
}
