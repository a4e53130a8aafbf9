import { api, TAGS } from './api';
import type { Store } from './store';

/**
 * Asks for what is shown anew, and forgets what is not, when the page is seen again: somebody else, or another tab, may have
 * changed it meanwhile. What is being edited stays as it is.
 *
 * @returns what ends it
 */
export function askWhenSeenAgain(store: Store): () => void {
  const ask = (): void => {
    if (document.visibilityState === 'visible') store.dispatch(api.util.invalidateTags([...TAGS]));
  };
  document.addEventListener('visibilitychange', ask);
  return () => document.removeEventListener('visibilitychange', ask);
}
