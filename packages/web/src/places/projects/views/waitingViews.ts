import type { Sheet } from '@mendrel/contract';
import type { View } from '@mendrel/core';

/** A view that stands nowhere yet. */
export interface WaitingView {
  view: View;
  /** The sheet that it is meant for; none while it waits in the tray of the project. */
  from?: Sheet;
}

/**
 * The views of a project that one sheet can have: those in the tray, and those that have no place on other sheets yet.
 * @param sheets all of the project
 * @param current the id of the sheet that is arranged
 */
export const waitingViews = (tray: readonly View[], sheets: readonly Sheet[], current: string): WaitingView[] => [
  ...tray.map((view) => ({ view })),
  ...sheets
    .filter(({ id }) => id !== current)
    .flatMap((from) => from.views.filter(({ module }) => module === null).map((view) => ({ view, from }))),
];
