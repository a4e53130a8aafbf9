import { use, useSyncExternalStore } from 'react';
import type { Typefaces } from '@mendrel/core';

let loading: Promise<Typefaces> | undefined;
let loaded: Typefaces | undefined;
const waiting = new Set<() => void>();

async function load(): Promise<Typefaces> {
  const typefaces = await (await import('./loadTypefaces')).loadTypefaces();
  loaded = typefaces;
  return typefaces;
}

/** The lettering typefaces, loaded once. */
export const loadedTypefaces = (): Promise<Typefaces> => (loading ??= load());

function subscribe(changed: () => void): () => void {
  waiting.add(changed);
  return () => waiting.delete(changed);
}

/** The lettering typefaces, loaded with the code that reads them when a place first needs them. */
export function useTypefaces(): Typefaces {
  const promise = useSyncExternalStore(subscribe, loadedTypefaces);
  // A place that waits, if only for a promise that is kept already, may be built late.
  return loaded ?? use(promise);
}

/** Reads the typefaces again after one was uploaded or taken away. */
export async function reloadTypefaces(): Promise<void> {
  const fresh = load();
  // Shown only once it is there, so that nothing on screen goes blank in between.
  await fresh;
  loading = fresh;
  for (const changed of waiting) changed();
}
