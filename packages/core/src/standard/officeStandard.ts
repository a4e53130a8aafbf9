import { z } from 'zod';
import { MM_PER } from '../quantity';
import { INCH_HEIGHTS, letteringRoleSchema, METRIC_HEIGHTS } from './lettering';
import type { LetteringRole } from './lettering';
import { IMPERIAL_SCALES, METRIC_SCALES } from './scales';

/** Typefaces that ship; the first is the lettering of a new office. */
export const LETTERING_TYPEFACE = 'Barlow Semi Condensed';
export const LETTERING_TYPEFACE_STRONG = 'Barlow Semi Condensed SemiBold';

export const penSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: z.string().min(1).max(60),
  /** Line width in mm. */
  width: z.number().min(0.05).max(5),
});
export type Pen = z.infer<typeof penSchema>;

export const layerSchema = z.strictObject({
  id: z.string().min(1).max(40),
  /** The name it has in an exported drawing. */
  name: z.string().min(1).max(100),
  pen: z.string().min(1).max(40),
});

export const officeStandardSchema = z.strictObject({
  format: z.literal('mendrel-standard'),
  version: z.literal(1),
  unit: z.enum(['mm', 'in']),
  roles: z.array(letteringRoleSchema).min(1).max(100),
  /** Heights that text may step down to, in mm. */
  heights: z.array(z.number().positive().max(200)).min(1).max(40),
  pens: z.array(penSchema).min(1).max(40),
  layers: z.array(layerSchema).min(1).max(100),
  scales: z.array(z.string().max(40)).min(1).max(80),
  wording: z.strictObject({
    severalScales: z.string().max(60),
    noScale: z.string().max(60),
  }),
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
    widthFactor: 1,
    // ISO 3098 type B (from memory): 15/10 of the height between base lines.
    lineSpacing: 1.5,
    capitals: false,
  };
}

const inch = (height: number): number => height * MM_PER.in;

/** What a new office starts from: ISO heights and pens, and the inch heights of common practice beside them. */
export const STARTING_STANDARD: OfficeStandard = {
  format: 'mendrel-standard',
  version: 1,
  unit: 'mm',
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
  pens: [
    { id: 'frame', name: 'Frame', width: 0.7 },
    { id: 'outline', name: 'Outline', width: 0.5 },
    { id: 'divider', name: 'Divider', width: 0.35 },
    { id: 'fine', name: 'Fine', width: 0.18 },
    { id: 'text', name: 'Lettering', width: 0.25 },
  ],
  layers: [
    { id: 'frame', name: 'SHEET-FRAME', pen: 'frame' },
    { id: 'marks', name: 'SHEET-MARKS', pen: 'divider' },
    { id: 'cells', name: 'BLOCK-LINES', pen: 'divider' },
    { id: 'captions', name: 'BLOCK-CAPTIONS', pen: 'text' },
    { id: 'values', name: 'BLOCK-VALUES', pen: 'text' },
    { id: 'pictures', name: 'BLOCK-PICTURES', pen: 'fine' },
    { id: 'views', name: 'SHEET-VIEWS', pen: 'fine' },
  ],
  scales: [...METRIC_SCALES, ...IMPERIAL_SCALES].map((scale) => scale.words),
  wording: { severalScales: 'As noted', noScale: 'Not to scale' },
};

/** The role of an id; the first value role stands in for one that is gone, so that a text is never lost. */
export function roleOf(standard: OfficeStandard, id: string): LetteringRole | undefined {
  return standard.roles.find((each) => each.id === id);
}

/** The width in mm of a pen id; 0.25 mm for one that is gone. */
export function penWidth(standard: OfficeStandard, id: string): number {
  return standard.pens.find((each) => each.id === id)?.width ?? 0.25;
}
