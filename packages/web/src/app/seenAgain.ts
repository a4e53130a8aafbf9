import { api, TAGS } from './api';
import type { Store } from './store';
import { hasUnsavedInput } from './unsavedInput';

/** Whether somebody is in the middle of something that what others changed would take away. */
const isBusy = (): boolean =>
  hasUnsavedInput() ||
  document.querySelector('[role="dialog"]') !== null ||
  document.activeElement instanceof HTMLInputElement ||
  document.activeElement instanceof HTMLTextAreaElement;

/**
 * Asks for what is shown anew, and forgets what is not, when the page is seen again: somebody else, or another tab, may have
 * changed it meanwhile. While something is being typed all stays as it is.
 *
 * @returns what ends it
 */
export function askWhenSeenAgain(store: Store): () => void {
  const ask = (): void => {
    if (document.visibilityState === 'visible' && !isBusy()) store.dispatch(api.util.invalidateTags([...TAGS]));
  };
  document.addEventListener('visibilitychange', ask);
  return () => document.removeEventListener('visibilitychange', ask);
}
