import type { ComponentType } from 'react';
import { use } from 'react';

/** A component whose code comes later, and what begins to load that. */
export type Later<Props extends object> = ComponentType<Props> & { load: () => Promise<unknown> };

/**
 * A component that is loaded when it is first shown, or before. Shown once its code is there, it is built at once: one of React's
 * own kind would be waited for even then.
 */
export function later<Props extends object>(from: () => Promise<ComponentType<Props>>): Later<Props> {
  let loaded: ComponentType<Props> | undefined;
  let loading: Promise<ComponentType<Props>> | undefined;
  const load = (): Promise<ComponentType<Props>> =>
    (loading ??= from().then(
      (component) => (loaded = component),
      (error: unknown) => {
        // It is asked for again, once the server answers.
        loading = undefined;
        throw error;
      },
    ));
  function Later(props: Props) {
    const Component = loaded ?? use(load());
    return <Component {...props} />;
  }
  return Object.assign(Later, { load });
}

/** How long a page is left alone before it loads what may be shown next, in ms, where it is never idle. */
const LONGEST_MS = 2000;

/** Loads what may be shown next, once the page has nothing else to do. @returns what calls that off */
export function loadWhenIdle(components: readonly { load: () => Promise<unknown> }[]): () => void {
  const all = (): void => {
    // What cannot be loaded now is told of when it is shown.
    for (const { load } of components) load().catch(() => undefined);
  };
  // Not every browser says when it is idle.
  if (typeof requestIdleCallback !== 'function') {
    const timer = setTimeout(all, LONGEST_MS);
    return () => clearTimeout(timer);
  }
  const asked = requestIdleCallback(all, { timeout: LONGEST_MS });
  return () => cancelIdleCallback(asked);
}
