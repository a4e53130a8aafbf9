import type { ComponentType } from 'react';
import { use } from 'react';

/** What can be loaded before it is shown. */
export interface Loadable {
  load: () => Promise<unknown>;
}

/** A component whose code comes later, and what begins to load that. */
export type Later<Props extends object> = ComponentType<Props> & Loadable;

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
