import type { CleaningStep, Difference, Point } from '@mendrel/core';

/** What is shown on the paper with rings: one difference, or everything that was cleaned in one way. */
export type Marked = Difference | CleaningStep;

/** Where the rings stand, in mm on paper. */
export function placesOf(marked: Marked | undefined): readonly Point[] {
  if (!marked) return [];
  return 'places' in marked ? marked.places : [marked];
}
