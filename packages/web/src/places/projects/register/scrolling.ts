import { useSyncExternalStore } from 'react';

/** How long after the last movement a table stands still, in ms. */
const PAUSE = 120;

let moving = false;
let timer: ReturnType<typeof setTimeout> | undefined;
const waiting = new Set<() => void>();

function set(next: boolean): void {
  if (moving === next) return;
  moving = next;
  for (const tell of waiting) tell();
}

/** Says that a table has just been scrolled. */
export function scrolled(): void {
  clearTimeout(timer);
  timer = setTimeout(() => set(false), PAUSE);
  set(true);
}

const subscribe = (tell: () => void): (() => void) => {
  waiting.add(tell);
  return () => waiting.delete(tell);
};

/** Whether no table is being scrolled: what takes long to build is built then. */
export const useStill = (): boolean => useSyncExternalStore(subscribe, () => !moving);
