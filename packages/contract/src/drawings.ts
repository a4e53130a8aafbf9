import type { Dropped, SourceSummary } from '@mendrel/core';
import { MOST_CORNERS } from '@mendrel/core';
import { z } from 'zod';
import { idSchema } from './errors';

/** Most drawings of one project. */
export const MOST_PROJECT_DRAWINGS = 500;

/** The model, a layout or a page of a drawing. */
export interface DrawingSpace extends SourceSummary {
  name: string;
  /** SHA-256 of its linework. */
  linework: string;
  /** Millimetres for each of its units, as far as the file says it. */
  unit?: number;
  /** What was left out, and why. */
  dropped: Dropped[];
}

/** A drawing that views of a project may show. */
export interface DrawingRecord {
  id: string;
  name: string;
  bytes: number;
  spaces: DrawingSpace[];
  addedAt: string;
}

/** What became of a drawing that got a new file: the numbers of the sheets that show it, and of those that went out with the old one. */
export interface DrawingReplaced {
  drawing: DrawingRecord;
  sheets: string[];
  issued: string[];
}

/** What comes with a drawing: the id under which it may be asked how far its reading is. */
export const addDrawingSchema = z.strictObject({ reading: idSchema.optional() });

/** A piece of a drawing as a picture: what of it, how large, and how its lines and texts look. Lengths on paper in mm. */
export const pieceSchema = z.strictObject({
  width: z.number().positive().max(20_000),
  height: z.number().positive().max(20_000),
  from: z.strictObject({ x: z.number(), y: z.number() }),
  perUnit: z.number().positive(),
  hidden: z.array(z.string().max(255)).max(1000),
  typeface: z.string().max(200),
  fallback: z.string().max(200).optional(),
  least: z.number().min(0).max(10),
  outline: z
    .union([
      z.literal('circle'),
      z
        .array(z.number())
        .min(6)
        .max(2 * MOST_CORNERS),
    ])
    .optional(),
  pens: z
    .array(
      z.strictObject({
        layers: z.string().max(255),
        weight: z.number().optional(),
        was: z.number().optional(),
        width: z.number().min(0).max(10),
        colour: z.string().max(20).optional(),
      }),
    )
    .max(400)
    .optional(),
});
export type Piece = z.infer<typeof pieceSchema>;

/** How large the picture may be from which a window of a drawing is chosen, in pixels; a pixel is a millimetre of its paper. */
const [MOST_WIDTH, MOST_HEIGHT] = [560, 380];
/** Room around the linework in it, as a part of its longest side. */
const MARGIN = 0.02;
/** Width of lines that have none of their own, in pixels. */
const HAIRLINE = 0.7;

/** A part of a drawing as it is first looked at: the whole of it, with a little room around. @param box in units of the drawing */
export function wholePiece(
  { box }: Pick<DrawingSpace, 'box'>,
  lettering: Pick<Piece, 'typeface' | 'fallback'>,
  hidden: readonly string[] = [],
): Piece {
  const margin = Math.max(box.width, box.height) * MARGIN;
  const [across, up] = [box.width + 2 * margin, box.height + 2 * margin];
  const perUnit = Math.min(MOST_WIDTH / across, MOST_HEIGHT / up);
  return {
    width: across * perUnit,
    height: up * perUnit,
    from: { x: box.x - margin, y: box.y - margin },
    perUnit,
    hidden: [...hidden],
    ...lettering,
    least: HAIRLINE,
  };
}
