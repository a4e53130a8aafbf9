import { use, useSyncExternalStore } from 'react';
import type { Typefaces } from '@mendrel/core';

let loading: Promise<Typefaces> | undefined;
const waiting = new Set<() => void>();

const load = (): Promise<Typefaces> => (loading ??= import('./loadTypefaces').then((module) => module.loadTypefaces()));

/** Begins to load the typefaces for a place that is about to be shown. */
export const preloadTypefaces = (): void => void load();

function subscribe(changed: () => void): () => void {
  waiting.add(changed);
  return () => waiting.delete(changed);
}

/** The lettering typefaces, loaded with the code that reads them when a place first needs them. */
export function useTypefaces(): Typefaces {
  return use(useSyncExternalStore(subscribe, load));
}

/** Reads the typefaces again after one was uploaded or taken away. */
export async function reloadTypefaces(): Promise<void> {
  const fresh = import('./loadTypefaces').then((module) => module.loadTypefaces());
  // Shown only once it is there, so that nothing on screen goes blank in between.
  await fresh;
  loading = fresh;
  for (const changed of waiting) changed();
}
