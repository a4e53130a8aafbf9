import { z } from 'zod';
import type { Parameters } from '../parameter';
import { DATE_FORMS, languagesParameter, MOST_LANGUAGES, ownParameterSchema, parametersWith } from '../parameter';
import { MM_PER, parseScale, QuantityError } from '../quantity';
import { deviceSchema, STARTING_DEVICES } from './devices';
import {
  drawingPenSchema,
  MOST_DRAWING_PENS,
  LAYER_PRESETS,
  layerSchema,
  linePatternSchema,
  penSchema,
  STARTING_PATTERNS,
} from './lines';
import type { Pen } from './lines';
import { STANDARD_VERSION } from './migrate';
import { PUBLISHED_STANDARDS } from './published';
import { IMPERIAL_SCALES, METRIC_SCALES } from './scales';
import { frameRuleSchema, SHEET_SIZES, sheetSizeSchema, STARTING_FRAME_RULES } from './sheets';
import type { SheetSize } from './sheets';
import { MOST_OWN_SYMBOLS, ownSymbolSchema } from './symbols';
import { ownTableSchema } from '../table';
import { dimensionLetteringSchema, INCH_DIMENSIONS, METRIC_DIMENSIONS } from './text/dimensionLettering';
import { INCH_HEIGHTS, letteringRoleSchema, METRIC_HEIGHTS } from './text/lettering';
import type { LetteringRole } from './text/lettering';
import { viewTitleSchema } from './text/viewTitle';

/** Typefaces that ship; the first is the lettering of a new office. */
export const LETTERING_TYPEFACE = 'Barlow Semi Condensed';
export const LETTERING_TYPEFACE_STRONG = 'Barlow Semi Condensed SemiBold';

const scaleSchema = z
  .string()
  .max(40)
  .superRefine((text, context) => {
    try {
      parseScale(text);
    } catch (error) {
      if (!(error instanceof QuantityError)) throw error;
      context.addIssue({ code: 'custom', message: error.message });
    }
  });

export const officeStandardSchema = z.strictObject({
  format: z.literal('mendrel-standard'),
  version: z.literal(STANDARD_VERSION),
  /** The unit that lengths are shown in and bare numbers are read in. */
  unit: z.enum(['mm', 'in']),
  /** The office's own sizes; those that ship are always there. */
  sizes: z.array(sheetSizeSchema).max(100),
  frameRules: z.array(frameRuleSchema).min(1).max(60),
  roles: z.array(letteringRoleSchema).min(1).max(100),
  /** Heights that text may step down to, in mm. */
  heights: z
    .array(z.number().min(0.5, 'heights are 0.5 mm or more').max(200, 'heights are at most 200 mm'))
    .min(1)
    .max(40),
  /** The least height in mm that is legible on a print. */
  leastHeight: z.number().min(0.1).max(20),
  reducedPrints: z.array(z.strictObject({ from: z.string().max(40), to: z.string().max(40) })).max(40),
  pens: z.array(penSchema).min(1).max(40),
  patterns: z.array(linePatternSchema).min(1).max(40),
  /** Pens for layers of drawings that views show; lines keep their own widths where it is left out or names none. */
  drawingPens: z.array(drawingPenSchema).max(MOST_DRAWING_PENS).optional(),
  layers: z.array(layerSchema).min(1).max(100),
  scales: z.array(scaleSchema).min(1).max(80),
  wording: z.strictObject({
    severalScales: z.string().max(60),
    /** For a sheet without a view. */
    noScale: z.string().max(60),
    /** For a view that is sized to fill its space. */
    notToScale: z.string().max(60),
    /** How dates stand on sheets, however they were entered. */
    dates: z.enum(DATE_FORMS),
  }),
  /** Languages of captions by name, the first that of the captions themselves; one where it is left out. */
  languages: z
    .array(
      z
        .string()
        .trim()
        .min(1)
        .max(40)
        .regex(/^[^,;]+$/, 'a language has no commas in its name'),
    )
    .max(MOST_LANGUAGES)
    .optional(),
  /** The typeface that letters come from which others lack; none where it is left out. */
  fallbackTypeface: z.string().min(1).max(100).optional(),
  /** Words that no line ends within, such as `Phase 2`; none where it is left out. */
  keptTogether: z.array(z.string().trim().min(3, 'an entry has 3 letters at least').max(80)).max(200).optional(),
  /** Published standards that do not count for the office; all count where it is left out. */
  uncounted: z.array(z.enum(PUBLISHED_STANDARDS)).max(PUBLISHED_STANDARDS.length).optional(),
  /** What stands under each view; number, name and scale under a line where it is left out. */
  viewTitle: viewTitleSchema.optional(),
  dimensions: z.array(dimensionLetteringSchema).max(20),
  /** The office's own parameters; those that ship are always there. */
  parameters: z.array(ownParameterSchema).max(200),
  devices: z.array(deviceSchema).max(40),
  /** Symbols of the office's own; none where it is left out. */
  symbols: z.array(ownSymbolSchema).max(MOST_OWN_SYMBOLS).optional(),
  /** Tables of the office's own; those that Mendrel knows are always there. */
  tables: z.array(ownTableSchema).max(40),
});

/** Everything the practice has fixed that a title block depends on. */
export type OfficeStandard = z.infer<typeof officeStandardSchema>;

function role(id: string, name: string, use: LetteringRole['use'], height: number): LetteringRole {
  const strong = use === 'title' || use === 'number';
  return {
    id,
    name,
    use,
    typeface: strong ? LETTERING_TYPEFACE_STRONG : LETTERING_TYPEFACE,
    height,
    unit: id.endsWith('-inch') ? 'in' : 'mm',
    widthFactor: 1,
    // ISO 3098 type B (from memory): 15/10 of the height between base lines.
    lineSpacing: 1.5,
    capitals: false,
    pen: 'text',
  };
}

const pen = (id: string, name: string, width: number): Pen => ({ id, name, width, colour: '#000000' });

const inch = (height: number): number => height * MM_PER.in;

/** What a new office starts from: ISO heights and pens, and the inch heights of common practice beside them. */
export const STARTING_STANDARD: OfficeStandard = {
  format: 'mendrel-standard',
  version: STANDARD_VERSION,
  unit: 'mm',
  sizes: [],
  frameRules: [...STARTING_FRAME_RULES],
  roles: [
    role('caption-small', 'Small caption', 'caption', 1.8),
    role('caption', 'Caption', 'caption', 2),
    role('caption-large', 'Large caption', 'caption', 2.5),
    role('notes', 'Notes', 'notes', 2.5),
    role('value-small', 'Small value', 'value', 2.5),
    role('value', 'Value', 'value', 3.5),
    role('title', 'Title', 'title', 5),
    role('title-large', 'Large title', 'title', 7),
    role('number', 'Sheet number', 'number', 10),
    role('number-large', 'Large sheet number', 'number', 14),
    role('zone', 'Zone mark', 'zone', 3.5),
    role('caption-inch', 'Caption 3/32 in', 'caption', inch(3 / 32)),
    role('notes-inch', 'Notes 3/32 in', 'notes', inch(3 / 32)),
    role('value-inch', 'Value 1/8 in', 'value', inch(1 / 8)),
    role('subtitle-inch', 'Title 3/16 in', 'title', inch(3 / 16)),
    role('title-inch', 'Title 1/4 in', 'title', inch(1 / 4)),
    role('number-inch', 'Sheet number 3/8 in', 'number', inch(3 / 8)),
    role('number-large-inch', 'Sheet number 1/2 in', 'number', inch(1 / 2)),
  ],
  heights: [...METRIC_HEIGHTS, ...INCH_HEIGHTS].sort((a, b) => a - b),
  leastHeight: 1.8,
  reducedPrints: [
    { from: 'ISO A1', to: 'ISO A3' },
    { from: 'ISO A0', to: 'ISO A1' },
    { from: 'ARCH D', to: 'ASME B' },
  ],
  pens: [
    pen('frame', 'Frame', 0.7),
    pen('outline', 'Outline', 0.5),
    pen('divider', 'Divider', 0.35),
    pen('fine', 'Fine', 0.18),
    pen('text', 'Lettering', 0.25),
  ],
  patterns: [...STARTING_PATTERNS],
  layers: [...LAYER_PRESETS['Plain words']],
  scales: [...METRIC_SCALES, ...IMPERIAL_SCALES].map((scale) => scale.words),
  wording: { severalScales: 'As noted', noScale: '', notToScale: 'Not to scale', dates: 'as entered' },
  dimensions: [
    { ...METRIC_DIMENSIONS, typeface: LETTERING_TYPEFACE },
    { ...INCH_DIMENSIONS, typeface: LETTERING_TYPEFACE },
  ],
  parameters: [],
  devices: [...STARTING_DEVICES],
  tables: [],
};

/** Every size that designs may be made for: those that ship, then the office's own. */
export const sizesOf = (standard: Pick<OfficeStandard, 'sizes'>): readonly SheetSize[] =>
  standard.sizes.length === 0 ? SHEET_SIZES : [...SHEET_SIZES, ...standard.sizes];

const withLanguages = new WeakMap<readonly string[], { own: OfficeStandard['parameters']; all: Parameters }>();

/** Every parameter that designs may use: those that ship, the office's own, and the languages of captions where it has several. */
export function parametersOf({
  parameters: own,
  languages,
}: Pick<OfficeStandard, 'parameters' | 'languages'>): Parameters {
  const all = parametersWith(own);
  const choice = languages && languagesParameter(languages);
  if (!choice || !languages) return all;
  const known = withLanguages.get(languages);
  if (known?.own === own) return known.all;
  // It comes after what every project has; one of the office's own under that key stays what it is.
  const made: Parameters = all.has(choice.key) ? all : new Map([...all, [choice.key, choice]]);
  withLanguages.set(languages, { own, all: made });
  return made;
}

/** The role of an id; undefined for one that is gone. */
export function roleOf(standard: OfficeStandard, id: string): LetteringRole | undefined {
  return standard.roles.find((each) => each.id === id);
}

/** The pen of an id; undefined for one that is gone. */
export function penOf(standard: OfficeStandard, id: string): Pen | undefined {
  return standard.pens.find((each) => each.id === id);
}

/** The width in mm of a pen id; 0.25 mm for one that is gone. */
export function penWidth(standard: OfficeStandard, id: string): number {
  return penOf(standard, id)?.width ?? 0.25;
}
