import { z } from 'zod';
import { lineworkSchema } from '../../linework';
import { kindOfContent, quoted } from './kind';
import { opacitySchema, placingFields } from './placing';

/** Characters of base64 that one image may have: about 3 MB of file. */
const MOST_IMAGE_CHARACTERS = 4_000_000;

/** Dots that an image may have each way. */
export const MOST_IMAGE_SIDE = 20_000;

const imageFields = {
  type: z.enum(['png', 'jpeg']),
  /** Pixels. */
  columns: z.number().int().positive().max(MOST_IMAGE_SIDE),
  rows: z.number().int().positive().max(MOST_IMAGE_SIDE),
};

/** SHA-256 of a file, under which it is kept once for all who use it. */
export const assetSchema = z.string().regex(/^[0-9a-f]{64}$/, 'is no SHA-256');

/** An image file: kept beside the document under its SHA-256, or inside of a document that travels alone. */
export const imageSchema = z.union([
  z.strictObject({ ...imageFields, asset: assetSchema }),
  z.strictObject({
    ...imageFields,
    /** The file, base64. */
    data: z.base64().min(20).max(MOST_IMAGE_CHARACTERS),
  }),
]);
export type Image = z.infer<typeof imageSchema>;

export const PICTURE_FITTINGS = ['natural', 'contain', 'cover'] as const;
/**
 * `natural` keeps the size and shrinks where the cell is smaller, `contain` is as large as goes into the cell, `cover`
 * fills it and is cut at its edges.
 */
export type PictureFitting = (typeof PICTURE_FITTINGS)[number];

/** How much of a picture may be cut off at two opposite sides together, in per cent. */
export const MOST_CROP = 95;
const cutOff = z.number().min(0).max(MOST_CROP);
const cropSchema = z
  .strictObject({ left: cutOff, right: cutOff, top: cutOff, bottom: cutOff })
  .refine(({ left, right, top, bottom }) => left + right <= MOST_CROP && top + bottom <= MOST_CROP, {
    message: `cuts off more than ${MOST_CROP} per cent`,
  });

/** What a picture is, wherever it stands. */
export const pictureFields = {
  name: z.string().max(100),
  /** The parameter that says which image stands here; the picture's own stands where it has no value. */
  parameter: z.string().min(1).max(60).optional(),
  /** Natural size in mm. */
  width: z.number().positive().max(5000),
  height: z.number().positive().max(5000),
  /** What is cut off at its sides, in per cent of its width or height. */
  crop: cropSchema.optional(),
  /** How much it covers what lies under it, in per cent; all of it when left out. */
  opacity: opacitySchema.optional(),
  linework: z.array(lineworkSchema).max(2000),
  image: imageSchema.optional(),
};

/** A logo or an image in a cell, as linework or as an image file. */
export const pictureSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('picture'),
  ...pictureFields,
  /** `natural` when left out. */
  fitting: z.enum(PICTURE_FITTINGS).optional(),
});
export type Picture = z.infer<typeof pictureSchema>;

/** A picture wherever it stands: in a cell, or on the sheet by itself. */
export type AnyPicture = Pick<Picture, 'id' | keyof typeof pictureFields>;

export const picture = kindOfContent(pictureSchema, {
  name: 'Picture',
  label: ({ name }) => name || 'Picture',
  inWords: ({ name }) => `the picture ${quoted(name)}`,
  parameters: ({ parameter }) => (parameter === undefined ? [] : [['parameter']]),
});
