import { z } from 'zod';
import type { Rect } from '../../geometry';
import { MM_PER } from '../../quantity';
import type { SheetSize } from './sheetSizes';
import { SHEET_SIZES, SIZE_SERIES } from './sheetSizes';
import { ISO_ZONES, zoneRuleSchema } from './zones';

const margin = z.number().min(0, 'a margin is not negative').max(500, 'a margin is at most 500 mm');

export const marginsSchema = z.strictObject({ left: margin, right: margin, top: margin, bottom: margin });
/** Distances in mm from the trimmed sheet's edges. */
export type Margins = z.infer<typeof marginsSchema>;

export const EDGES = ['left', 'right', 'top', 'bottom'] as const;
export type Edge = (typeof EDGES)[number];

export const frameRuleSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().trim().min(1, 'a frame rule needs a name').max(60),
  /** The sizes it is for, by series and by name; a size that is named somewhere belongs to that rule. */
  series: z.array(z.enum(SIZE_SERIES)).max(SIZE_SERIES.length),
  sizes: z.array(z.string().min(1).max(40)).max(100),
  margins: marginsSchema,
  /** The edge that is filed. */
  binding: z.enum([...EDGES, 'none']),
  pen: z.string().min(1).max(40),
  zones: zoneRuleSchema,
  centring: z.boolean(),
  trimming: z.boolean(),
  /** Marks for folding to A4 with a filing margin. */
  folds: z.boolean(),
});
/** How the frame of some sizes is made. */
export type FrameRule = z.infer<typeof frameRuleSchema>;

/** What a preset settles; name and sizes stay the rule's own. */
export type FramePreset = Pick<FrameRule, 'margins' | 'binding' | 'pen' | 'zones' | 'centring' | 'trimming'>;

const even = (all: number): Margins => ({ left: all, right: all, top: all, bottom: all });
const half = MM_PER.in / 2;

/** Settings to start a rule from. */
export const FRAME_PRESETS: Readonly<Record<'ISO 5457' | 'ASME Y14.1' | 'Plain', FramePreset>> = {
  // ISO 5457 (from memory).
  'ISO 5457': {
    margins: { left: 20, right: 10, top: 10, bottom: 10 },
    binding: 'left',
    pen: 'frame',
    zones: ISO_ZONES,
    centring: true,
    trimming: true,
  },
  // ASME Y14.1 (from memory): zones count from the lower right corner, letters upwards, without I and O. Its field
  // lengths differ from size to size; 4 1/4 in is that of the D sheet. Margins of 1/2 in are common practice.
  'ASME Y14.1': {
    margins: even(half),
    binding: 'none',
    pen: 'frame',
    zones: { ...ISO_ZONES, field: 4.25 * MM_PER.in, lettersFrom: 'bottom', numbersFrom: 'right' },
    centring: true,
    trimming: false,
  },
  Plain: {
    margins: even(10),
    binding: 'none',
    pen: 'frame',
    zones: { ...ISO_ZONES, shown: false },
    centring: false,
    trimming: false,
  },
};

const ISO = FRAME_PRESETS['ISO 5457'];
const PLAIN = FRAME_PRESETS.Plain;

/** Architectural and ASME sheets, common practice: 1/2 in all round, 1 1/2 in on the binding edge from 24 in on. */
const INCH_FRAME: FramePreset = { ...ISO, margins: { ...even(half), left: 1.5 * MM_PER.in }, trimming: false };

/** The rules of a new office; every shipped size falls under one. */
export const STARTING_FRAME_RULES: readonly FrameRule[] = [
  { id: 'iso', name: 'ISO 5457', series: ['ISO A', 'ISO B'], sizes: [], folds: true, ...ISO },
  {
    ...ISO,
    id: 'iso-a4',
    name: 'ISO 5457, A4',
    series: [],
    sizes: ['ISO A4', 'ISO B4'],
    folds: false,
    // ISO 5457 (from memory): on A4 only along the top and the right.
    zones: { ...ISO_ZONES, edges: { left: false, right: true, top: true, bottom: false } },
  },
  {
    ...PLAIN,
    id: 'small',
    name: 'Small sheets',
    series: [],
    sizes: ['A5', 'A6', 'A7', 'A8', 'A9', 'A10', 'B5', 'B6', 'B7', 'B8', 'B9', 'B10'].map((name) => `ISO ${name}`),
    folds: false,
    margins: even(5),
  },
  { id: 'inch', name: 'Inch sheets', series: ['ASME', 'ARCH'], sizes: [], folds: false, ...INCH_FRAME },
  {
    ...INCH_FRAME,
    id: 'inch-small',
    name: 'Inch sheets under 24 in',
    series: [],
    sizes: ['ASME A', 'ASME B', 'ASME C', 'ARCH A', 'ARCH B'],
    folds: false,
    margins: even(half),
    binding: 'none',
  },
  { ...ISO, id: 'office', name: 'Own sizes', series: ['Office'], sizes: [], folds: false },
];

/** The rule of a size: the one that names it, else that of the size it was made from, else the one for its series, else the last one. */
export function frameRuleFor(
  size: Pick<SheetSize, 'name' | 'series' | 'model'>,
  rules: readonly FrameRule[] = STARTING_FRAME_RULES,
): FrameRule {
  const named = rules.find((rule) => rule.sizes.includes(size.name));
  if (named) return named;
  const model = SHEET_SIZES.find((each) => each.name === size.model);
  if (model) return frameRuleFor(model, rules);
  const found = rules.find((rule) => rule.series.includes(size.series)) ?? rules.at(-1) ?? STARTING_FRAME_RULES[0];
  if (!found) throw new Error('a standard has at least one frame rule');
  return found;
}

/** A mark that a design switches by itself, or leaves to the rule. */
export const asRuled = (choice: boolean | 'standard' | undefined, rule: boolean): boolean =>
  choice === 'standard' ? rule : (choice ?? false);

/** The margins of a size by its rule, in mm. */
export const standardMargins = (size: SheetSize, rules?: readonly FrameRule[]): Margins =>
  frameRuleFor(size, rules).margins;

/** The rectangle of the frame on a sheet, in mm from the sheet's lower-left corner. */
export function frameOf(sheet: { width: number; height: number }, margins: Margins): Rect {
  return {
    x: margins.left,
    y: margins.bottom,
    width: sheet.width - margins.left - margins.right,
    height: sheet.height - margins.bottom - margins.top,
  };
}
