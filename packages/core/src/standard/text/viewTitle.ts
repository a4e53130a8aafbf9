import { z } from 'zod';
import { parsePattern, patternKeys, PatternError } from '../../parameter';
import type { LetteringRole } from './lettering';
import { ROLE_USES } from './lettering';
import { roleFor } from './roleFor';

/** Where the line of a view's title is drawn. */
export const TITLE_LINES = ['over', 'between', 'under', 'none'] as const;
export type TitleLine = (typeof TITLE_LINES)[number];

/** Most lines of text in a view's title. */
export const MOST_TITLE_LINES = 3;

/** What a view's title can say. */
export const VIEW_KEYS = ['view.number', 'view.name', 'view.scale', 'sheet.number'] as const;
export type ViewKey = (typeof VIEW_KEYS)[number];

const pattern = z
  .string()
  .trim()
  .min(1)
  .max(200)
  .check((on) => {
    try {
      parsePattern(on.value);
    } catch (error) {
      if (!(error instanceof PatternError)) throw error;
      on.issues.push({ code: 'custom', message: error.message, input: on.value });
      return;
    }
    const unknown = patternKeys(on.value).find((key) => !(VIEW_KEYS as readonly string[]).includes(key));
    if (unknown !== undefined)
      on.issues.push({
        code: 'custom',
        message: `the title of a view has no {${unknown}}; there are ${VIEW_KEYS.map((key) => `{${key}}`).join(', ')}`,
        input: on.value,
      });
  });

/** What stands under each view. */
export const viewTitleSchema = z.strictObject({
  lines: z
    .array(z.strictObject({ pattern, use: z.enum(ROLE_USES) }))
    .min(1)
    .max(MOST_TITLE_LINES),
  line: z.enum(TITLE_LINES),
  /** The number stands in a ring at the left. */
  ring: z.boolean(),
  /** Views are numbered by the module they start in, or running as they are read. */
  numbers: z.enum(['module', 'running']),
});

export type ViewTitle = z.infer<typeof viewTitleSchema>;

/** What stands under a view where the office has chosen nothing. */
export const USUAL_VIEW_TITLE: ViewTitle = {
  lines: [{ pattern: '{view.number}  {view.name}  {view.scale}', use: 'value' }],
  line: 'over',
  ring: false,
  numbers: 'module',
};

/** From what a view shows to its title, in mm. */
export const TITLE_GAP = 2;
/** From a base line to the cap line under it, and to a line between texts, in heights of capitals. */
export const TITLE_LEADING = 0.6;

/** How far the title of a view reaches down from what it shows, in mm. @param unit of the design, whose roles are taken first */
export function viewTitleRoom(
  standard: { roles: readonly LetteringRole[]; viewTitle?: ViewTitle | undefined },
  unit: LetteringRole['unit'],
): number {
  const { lines, line } = viewTitleOf(standard);
  const heights = lines.map(({ use }) => roleFor(standard, use, unit).height);
  const texts = heights.reduce((sum, height) => sum + (1 + TITLE_LEADING) * height, 0);
  const between = line === 'between' ? TITLE_LEADING * (heights[0] ?? 0) : 0;
  return TITLE_GAP + texts + between + TITLE_LEADING * (heights.at(-1) ?? 0);
}

/** The title of views of an office. */
export const viewTitleOf = ({ viewTitle }: { viewTitle?: ViewTitle | undefined }): ViewTitle =>
  viewTitle ?? USUAL_VIEW_TITLE;
