import { z } from 'zod';
import { modulePlaceSchema } from '../design';
import type { Scale } from '../quantity';
import { parseScale } from '../quantity';

/** Most layers for which a view has pens of its own. */
const MOST_OWN_PENS = 60;
/** Most corners of a window. */
export const MOST_CORNERS = 100;

/** The drawing that a view shows: a window of it as large as the view is in the building. */
const viewDrawingSchema = z.strictObject({
  /** SHA-256 of its linework. */
  linework: z.string().regex(/^[0-9a-f]{64}$/, 'a drawing is named by the SHA-256 of its linework'),
  /** The file that it comes from, and the model or page in it. */
  name: z.string().min(1).max(300),
  /** When that file was brought, as an ISO time. */
  brought: z.iso.datetime().optional(),
  /** Millimetres of the building for each unit of the drawing. */
  unit: z.number().positive().max(10_000_000),
  /** The lower left corner of the window, in units of the drawing. */
  x: z.number().min(-1e12).max(1e12),
  y: z.number().min(-1e12).max(1e12),
  /** The outline of the window, where it is no rectangle: round, or corners in units of the drawing as x, y, x, y …. */
  outline: z
    .union([
      z.literal('circle'),
      z
        .array(z.number().min(-1e12).max(1e12))
        .min(6)
        .max(2 * MOST_CORNERS),
    ])
    .optional(),
  /** Layers that are not shown. */
  hidden: z.array(z.string().max(255)).max(1000).optional(),
  /** Pens of the standard for single layers, before those that the office has for them. */
  pens: z
    .record(z.string().max(255), z.string().min(1).max(40))
    .refine(
      (pens) => Object.keys(pens).length <= MOST_OWN_PENS,
      `a view has pens of its own for ${MOST_OWN_PENS} layers at most`,
    )
    .optional(),
  /** The lowest lettering, in units of the drawing. */
  leastText: z.number().positive().optional(),
});

export type ViewDrawing = z.infer<typeof viewDrawingSchema>;

export const viewSchema = z.strictObject({
  id: z.string().min(1).max(64),
  name: z.string().min(1).max(120),
  /** Real extents in mm. */
  realWidth: z.number().positive().max(10_000_000),
  realHeight: z.number().positive().max(10_000_000),
  /** A scale from the office's list, or null for a view that is sized to fill its space and has none. */
  scale: z.string().max(40).nullable(),
  /** The lower-left module it stands in, such as B3; null while it has no place. */
  module: modulePlaceSchema.nullable(),
  /** How far it was moved on paper from the middle of its modules, in mm. */
  shift: z.strictObject({ x: z.number().min(-5000).max(5000), y: z.number().min(-5000).max(5000) }).optional(),
  /** It stays where it stands when views are arranged. */
  locked: z.boolean().optional(),
  /** The id of the view that it shows a part of at a larger scale: its outline is marked there, with its number. */
  partOf: z.string().min(1).max(64).optional(),
  /** Left out of a view that is extents only. */
  drawing: viewDrawingSchema.optional(),
});

/** A drawing to be placed on a sheet. */
export type View = z.infer<typeof viewSchema>;

/** A view in the middle of its modules. */
export function unmoved(view: View): View {
  const left = { ...view };
  delete left.shift;
  return left;
}

/** The size of a view on paper in mm at a scale. */
export function paperSize(
  view: Pick<View, 'realWidth' | 'realHeight'>,
  scale: Scale,
): { width: number; height: number } {
  return { width: view.realWidth / scale.denominator, height: view.realHeight / scale.denominator };
}

/** The office's words where a sheet has no single scale. */
export interface ScaleWording {
  severalScales: string;
  /** For a sheet without a placed view. */
  noScale: string;
  /** For a view that is sized to fill its space. */
  notToScale: string;
}

/**
 * What the sheet's scale field says: the one scale of its placed views, the office's words for several scales, the
 * words for not to scale when every view is sized to fill, and those for no scale when no view is placed.
 */
export function sheetScale(views: readonly Pick<View, 'scale' | 'module'>[], wording: ScaleWording): string {
  const placed = views.filter((view) => view.module !== null);
  if (placed.length === 0) return wording.noScale;
  const words = new Map<number, string>();
  let unscaled = false;
  for (const { scale } of placed) {
    if (scale === null) unscaled = true;
    else {
      const { denominator } = parseScale(scale);
      if (!words.has(denominator)) words.set(denominator, scale);
    }
  }
  if (words.size === 0) return wording.notToScale;
  if (words.size > 1 || unscaled) return wording.severalScales;
  return [...words.values()][0] ?? '';
}
