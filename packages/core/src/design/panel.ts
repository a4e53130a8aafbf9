import { z } from 'zod';
import { cellSchema, edgePensSchema } from './cell';
import { formulaSchema, idSchema } from './content/placing';

export const DOCKS = [
  'left',
  'right',
  'top',
  'bottom',
  'lower-right',
  'lower-left',
  'upper-right',
  'upper-left',
  'floating',
] as const;
export type Dock = (typeof DOCKS)[number];

export const ANCHORS = [
  'upper-left',
  'upper',
  'upper-right',
  'left',
  'centre',
  'right',
  'lower-left',
  'lower',
  'lower-right',
] as const;
/** One of the nine points of a rectangle that places are measured from. */
export type Anchor = (typeof ANCHORS)[number];

export const panelSchema = z.strictObject({
  id: idSchema,
  name: z.string().min(1).max(100),
  dock: z.enum(DOCKS),
  /** For `floating`: the point of the frame it hangs on with its own same point; the lower left one when left out. */
  anchor: z.enum(ANCHORS).optional(),
  /** For `floating`: distances from that point, to the right and up. */
  x: formulaSchema.optional(),
  y: formulaSchema.optional(),
  /** Needed but along the edge of a left, right, top or bottom dock. */
  width: formulaSchema.optional(),
  height: formulaSchema.optional(),
  /** How far a docked panel stands off the frame and what is docked before it; against them when left out. */
  distance: formulaSchema.optional(),
  /** A comparison; where it does not hold the panel is left out and gives its place back. */
  when: formulaSchema.optional(),
  /** Lies over the sheet and claims no room, as a border or a watermark does: views and other panels may stand there too. */
  overlay: z.boolean().optional(),
  /** What a panel in a corner leaves to views: all but itself, an L, when left out; or the larger of the rectangles beside it. */
  leaves: z.literal('rectangle').optional(),
  /** Kept from being changed by accident. */
  locked: z.boolean().optional(),
  outlinePen: idSchema,
  /** Pens of single edges where they are not the outline's. */
  edges: edgePensSchema.optional(),
  dividerPen: idSchema,
  root: cellSchema,
});
export type Panel = z.infer<typeof panelSchema>;

/** The formulas that a panel may have itself. */
export const PANEL_FORMULAS = ['x', 'y', 'width', 'height', 'distance', 'when'] as const;

/** Which lengths of its own a panel needs for its dock. */
export function lengthsNeeded(dock: Dock): readonly ('width' | 'height')[] {
  if (dock === 'left' || dock === 'right') return ['width'];
  if (dock === 'top' || dock === 'bottom') return ['height'];
  return ['width', 'height'];
}

/** Panels that a design may have. */
export const MOST_PANELS = 20;
