import { z } from 'zod';

export const idSchema = z
  .string()
  .min(1)
  .max(64)
  .regex(/^[A-Za-z0-9_-]+$/, 'ids are letters, digits, - and _');
export const formulaSchema = z.string().min(1).max(300);
export const wordsSchema = z.string().max(2000);

/** What covers less, in per cent, is not seen in print. */
export const LEAST_OPACITY = 5;

/** Per cent. */
export const opacitySchema = z.number().int().min(LEAST_OPACITY).max(100);

/** What every content has: where it sits in its cell, and when it is there. */
export const placingFields = {
  id: idSchema,
  horizontal: z.enum(['left', 'centre', 'right']),
  vertical: z.enum(['top', 'middle', 'bottom']),
  rotation: z.union([z.literal(0), z.literal(90), z.literal(180), z.literal(270)]),
  /** How far it stands from that place, in its reading direction and up from its base line; negative is back and down. */
  shift: z.strictObject({ along: formulaSchema, up: formulaSchema }).optional(),
  /** A comparison; the content is left out where it does not hold. */
  when: formulaSchema.optional(),
};
