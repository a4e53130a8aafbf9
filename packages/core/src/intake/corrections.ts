import { z } from 'zod';
import { imageSchema } from '../design';

const point = z.object({ x: z.number(), y: z.number() });

/** What misses a line by more than this, in mm on paper, was not meant to meet it. */
export const MOST_REACH = 5;
/** Layers of one drawing that can be set; large drawings have a few hundred. */
const MOST_LAYERS = 2000;
/** Pictures of one drawing that can be given. */
const MOST_PICTURES = 50;

/** What a person set right in what intake found. Each one holds whatever else is corrected later. */
export const correctionsSchema = z.object({
  /** The space of the file that holds the sheet: the model, or a page layout. */
  space: z.string().max(255).optional(),
  /** Which of several sheets that stand beside one another in the space, from 0. */
  place: z.number().int().min(0).max(1000).optional(),
  /** The sheet that the drawing was made for, one of the candidates of the report. */
  sheet: z
    .object({ name: z.string().max(60), unitsPerPaperMm: z.number().positive(), rotation: z.number() })
    .optional(),
  /** What texts are, by their number in the report. */
  texts: z
    .record(
      z.string().regex(/^\d{1,9}$/),
      z.object({ kind: z.enum(['caption', 'field', 'note']), parameter: z.string().max(80).optional() }),
    )
    .optional(),
  /**
   * Cells that are one: a point in each of them, in the units of the drawing turned upright, so that they stay where they are
   * when another sheet is chosen.
   */
  joined: z.array(z.array(point).min(2).max(200)).max(200).optional(),
  /** Layers whose linework is part of the block although it floats in it, and those that are left out with all on them. */
  layers: z
    .record(z.string().max(255), z.enum(['block', 'out']))
    .refine((layers) => Object.keys(layers).length <= MOST_LAYERS, `at most ${MOST_LAYERS} layers can be set`)
    .optional(),
  /** Roles for texts of a height, measured in mm on paper, that would be given another role by themselves. */
  roles: z
    .array(z.object({ height: z.number().positive(), from: z.string().max(60), to: z.string().max(60) }))
    .max(100)
    .optional(),
  /** How far ends of lines are drawn to lines across that they miss, in mm on paper. */
  reach: z.number().min(0).max(MOST_REACH).optional(),
  /** Files of pictures that the drawing names, by those names. */
  pictures: z
    .record(z.string().max(255), z.strictObject({ image: imageSchema }))
    .refine(
      (pictures) => Object.keys(pictures).length <= MOST_PICTURES,
      `at most ${MOST_PICTURES} pictures can be given`,
    )
    .optional(),
  /** Marks that are known symbols become those, instead of staying as they were drawn. */
  symbols: z.boolean().optional(),
  /** Lengths stay as they were drawn, those that nearly are round ones too. */
  asDrawn: z.boolean().optional(),
});
export type Corrections = z.infer<typeof correctionsSchema>;

/** What an office has taught intake, for all of its drawings. */
export interface Lessons {
  /** Parameters by captions in the lexicon's spelling. */
  captions: Readonly<Record<string, string>>;
  /** The office's pens by the signs of old ones. */
  pens: Readonly<Record<string, string>>;
}

export const NO_LESSONS: Lessons = { captions: {}, pens: {} };

/** Heights nearer to each other than this part of the larger one are one. */
export const SAME_HEIGHT = 0.03;

/** What a text was set to be. */
export type TextCorrection = NonNullable<Corrections['texts']>[string];
