import type { StrokeItem } from '../drawing';

/** Where pieces of a view lie, for tests. */
export const ON_VIEW = { layer: 'A', part: 'view' } as const;

/** A line of a view through points as x, y, x, y …, for tests. */
export const stroke = (points: number[], closed = false): StrokeItem => ({
  kind: 'stroke',
  points,
  closed,
  width: 0.25,
  ...ON_VIEW,
});
