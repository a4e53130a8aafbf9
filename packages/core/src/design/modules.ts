import { z } from 'zod';

/** Most modules of a drawing area, each way. */
export const MOST_MODULES = 40;

/** Most sheet sizes with a count of their own: a design has no more sizes. */
const MOST_OWN_COUNTS = 40;

const count = z.number().int().min(1).max(MOST_MODULES);

/** The corner of the drawing area in which the names of modules begin. */
export const MODULE_CORNERS = ['lower-left', 'lower-right', 'upper-left', 'upper-right'] as const;
export type ModuleCorner = (typeof MODULE_CORNERS)[number];

/** What a module's name is made of. */
export const MODULE_NAMES = ['row-column', 'column-row', 'along-rows', 'along-columns'] as const;
export type ModuleNames = (typeof MODULE_NAMES)[number];

/**
 * A module as it is kept, whatever the office calls it: row letter from the bottom and column number from the left, such as B3
 * (US National CAD Standard, from memory).
 */
export const modulePlaceSchema = z
  .string()
  .regex(/^[A-Z]{1,2}[1-9]\d?$/, 'a module is named by row letter and column number, such as B3');

/** Into which modules a drawing area is divided. Lengths in mm. */
export const modulesSchema = z.strictObject({
  columns: count,
  rows: count,
  /** The size that modules are to have; there are as many as bring them nearest to it, instead of `columns` and `rows`. */
  wanted: z.strictObject({ width: z.number().min(5).max(5000), height: z.number().min(5).max(5000) }).optional(),
  /** Sheet sizes with a count of their own. */
  bySize: z
    .record(z.string().max(40), z.strictObject({ columns: count, rows: count }))
    .refine(
      (sizes) => Object.keys(sizes).length <= MOST_OWN_COUNTS,
      `${MOST_OWN_COUNTS} sizes at most have a count of their own`,
    )
    .optional(),
  /** What is left free between two modules, and between them and the edge of the drawing area. */
  gutter: z.number().min(0).max(200).optional(),
  margin: z.number().min(0).max(500).optional(),
  /** Left out: from the lower left, row letter before column number. */
  naming: z.strictObject({ from: z.enum(MODULE_CORNERS), by: z.enum(MODULE_NAMES) }).optional(),
  /** Modules that take no views: for notes, a key plan. By what the office calls them, so that they stand in the same corner on every size. */
  reserved: z
    .array(
      z
        .string()
        .regex(/^(?:[A-Z]{1,2}[1-9]\d?|[1-9]\d{0,3})$/, 'a module is called by a letter and a number, or by a number'),
    )
    .max(MOST_MODULES * MOST_MODULES)
    .optional(),
});

export type Modules = z.infer<typeof modulesSchema>;

/** How many modules a drawing area of a size is divided into. */
export function moduleCounts(
  modules: Modules,
  area: { width: number; height: number },
  size?: string,
): { columns: number; rows: number } {
  const own = size === undefined ? undefined : modules.bySize?.[size];
  if (own) return own;
  const { wanted, gutter = 0, margin = 0 } = modules;
  if (!wanted) return { columns: modules.columns, rows: modules.rows };
  const nearest = (length: number, module: number): number =>
    Math.min(MOST_MODULES, Math.max(1, Math.round((length - 2 * margin + gutter) / (module + gutter))));
  return { columns: nearest(area.width, wanted.width), rows: nearest(area.height, wanted.height) };
}

/** A module grid in short words, such as `4 × 3` or `about 180 × 190 mm`, with what else is special about it. */
export function moduleWords(modules: Modules): string {
  const { columns, rows, wanted, gutter = 0, margin = 0, naming, reserved = [], bySize = {} } = modules;
  const mm = (length: number): string => String(Number(length.toFixed(2)));
  return [
    wanted ? `modules of about ${mm(wanted.width)} × ${mm(wanted.height)} mm` : `${columns} × ${rows}`,
    ...Object.entries(bySize).map(([size, own]) => `${size}: ${own.columns} × ${own.rows}`),
    ...(gutter > 0 ? [`${mm(gutter)} mm between them`] : []),
    ...(margin > 0 ? [`${mm(margin)} mm around them`] : []),
    ...(naming ? [`named from the ${naming.from.replace('-', ' ')}`] : []),
    ...(reserved.length > 0 ? [`${reserved.join(', ')} reserved`] : []),
  ].join(', ');
}
