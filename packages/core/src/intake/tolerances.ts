/**
 * How careless drawings are, in mm on paper. Measured on the drawings of `demo/legacy` and the blocks of `legacy/`, which have gaps,
 * overlaps and misses of known sizes: what belongs together there lies within these, what does not lies beyond.
 */

/** Lines that lie on each other are one when they are drawn within this. */
export const TOLERANCE = 0.12;
/** Pieces are level or upright when they rise by no more than this part of their length: 0.6 degrees. */
export const LEVEL = 0.01;
/** A point on the edge of a cell is in it. */
export const ON_EDGE = 0.05;
/** What lies this near to a line of the frame or a cell belongs to it when the old and the new sheet are compared. */
export const BESIDE_LINE = 0.3;
/** Where a text begins may lie this far outside of its cell. */
export const BESIDE_CELL = 0.5;
/** Linework that fills its cell may go past it by this. */
export const OVER_CELL = 0.1;
