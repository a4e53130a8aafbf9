import { useEffect } from 'react';
import type { Loadable } from './later';

/** How long a page is left alone before it loads what may be shown next, in ms, where it is never idle. */
const LONGEST_MS = 2000;

/** Loads what may be shown next, once the page has nothing else to do. @returns what calls that off */
function loadWhenIdle(parts: readonly Loadable[]): () => void {
  const all = (): void => {
    // What cannot be loaded now is told of when it is shown.
    for (const { load } of parts) load().catch(() => undefined);
  };
  // Not every browser says when it is idle.
  if (typeof requestIdleCallback !== 'function') {
    const timer = setTimeout(all, LONGEST_MS);
    return () => clearTimeout(timer);
  }
  const asked = requestIdleCallback(all, { timeout: LONGEST_MS });
  return () => cancelIdleCallback(asked);
}

/**
 * Loads what may be shown next, once what is shown now stands: a page that waits for an answer is idle as well, and code that comes
 * then holds up what somebody waits for.
 */
export function useLoadedAhead(stands: boolean, parts: readonly Loadable[]): void {
  useEffect(() => (stands ? loadWhenIdle(parts) : undefined), [stands, parts]);
}
