import { z } from 'zod';

/** Most pens for layers of drawings. */
export const MOST_DRAWING_PENS = 60;

export const drawingPenSchema = z.strictObject({
  id: z.string().min(1).max(40),
  /** The name of a layer in drawings; `*` stands for any letters. */
  layers: z.string().trim().min(1, 'name a layer; * stands for any letters').max(120),
  /** Only lines that have this width in the drawing, in mm. */
  weight: z.number().positive().max(5).optional(),
  /** Only lines that have this colour in the drawing, by its number in DXF. */
  colour: z.number().int().min(1).max(255).optional(),
  /** A pen of the standard. */
  pen: z.string().min(1).max(40),
});
/** The pen that lines on some layers of drawings are drawn with. */
export type DrawingPen = z.infer<typeof drawingPenSchema>;
