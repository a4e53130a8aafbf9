import { z } from 'zod';
import { kindOfContent } from './kind';
import { idSchema, placingFields } from './placing';

/** An outline of the project in which the part is marked that a sheet shows. */
export const keyPlanSchema = z.strictObject({
  ...placingFields,
  kind: z.literal('keyPlan'),
  /** The parameter that holds the outline. */
  outline: z.string().min(1).max(60),
  /** The parameter that names the part, or several. */
  marks: z.string().min(1).max(60),
  /** Ground of a marked part, #rrggbb. */
  fill: z.string().regex(/^#[0-9a-f]{6}$/i, 'a colour is written #rrggbb'),
  pen: idSchema,
  /** Role of the parts' names; they are not written where it is left out. */
  role: idSchema.optional(),
});
export type KeyPlan = z.infer<typeof keyPlanSchema>;

export const keyPlan = kindOfContent(keyPlanSchema, {
  name: 'Key plan',
  label: () => 'Key plan',
  inWords: () => 'the key plan',
  parameters: () => [['outline'], ['marks']],
  roles: ({ role }) => (role === undefined ? [] : [['role']]),
  pens: () => [['pen']],
});
