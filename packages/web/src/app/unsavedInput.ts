import { useEffect } from 'react';

const unsaved = new Set<symbol>();

const warn = (event: BeforeUnloadEvent): void => event.preventDefault();

/** Whether somebody has typed something here that is not saved. */
export const hasUnsavedInput = (): boolean => unsaved.size > 0;

/** Says whether something typed is not saved: the browser then asks before the page is closed, and nothing is read over it. */
export function useUnsavedInput(dirty: boolean): void {
  useEffect(() => {
    if (!dirty) return;
    const mine = Symbol('unsaved');
    unsaved.add(mine);
    // One and the same listener stands once, however often it is added.
    window.addEventListener('beforeunload', warn);
    return () => {
      unsaved.delete(mine);
      if (unsaved.size === 0) window.removeEventListener('beforeunload', warn);
    };
  }, [dirty]);
}
