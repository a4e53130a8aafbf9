import { z } from 'zod';

/** What a text may do to fit: wrap to so many lines, condense to a part of its width, step down so many heights. */
export const fitPolicySchema = z.strictObject({
  lines: z.number().int().min(1).max(60),
  condense: z.number().min(0.5).max(1),
  steps: z.number().int().min(0).max(10),
});
