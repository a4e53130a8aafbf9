import { z } from 'zod';

/** Lines of one text at most. */
export const MOST_TEXT_LINES = 60;

/** What a text may do to fit: wrap to so many lines, condense to a part of its width, step down so many heights. */
export const fitPolicySchema = z.strictObject({
  lines: z.number().int().min(1).max(MOST_TEXT_LINES),
  condense: z.number().min(0.5).max(1),
  steps: z.number().int().min(0).max(10),
});
