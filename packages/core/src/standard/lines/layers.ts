import { z } from 'zod';

/** What a sheet is made of, for layers of exported drawings. */
export const LAYER_USES = ['frame', 'marks', 'cells', 'captions', 'values', 'pictures', 'views'] as const;
export type LayerUse = (typeof LAYER_USES)[number];

export const LAYER_USE_WORDS: Readonly<Record<LayerUse, string>> = {
  frame: 'frame and sheet edge',
  marks: 'zones and marks',
  cells: 'cell lines',
  captions: 'captions',
  values: 'values',
  pictures: 'pictures',
  views: 'views',
};

export const layerSchema = z.strictObject({
  id: z.string().min(1).max(40),
  /** The name it has in an exported drawing. */
  name: z
    .string()
    .trim()
    .min(1, 'a layer needs a name')
    .max(100)
    .regex(/^[^<>/\\":;?*|=`,]*$/, 'layer names in drawings may not hold < > / \\ " : ; ? * | = ` or a comma'),
  pen: z.string().min(1).max(40),
  pattern: z.string().min(1).max(40),
  /** What goes on it. */
  holds: z.array(z.enum(LAYER_USES)).max(LAYER_USES.length),
});
export type Layer = z.infer<typeof layerSchema>;

const PENS: Readonly<Record<LayerUse, string>> = {
  frame: 'frame',
  marks: 'divider',
  cells: 'divider',
  captions: 'text',
  values: 'text',
  pictures: 'fine',
  views: 'fine',
};

const layersNamed = (names: Readonly<Record<LayerUse, string>>): Layer[] =>
  LAYER_USES.map((use) => ({ id: use, name: names[use], pen: PENS[use], pattern: 'continuous', holds: [use] }));

/** Sets of layers to start from. */
export const LAYER_PRESETS: Readonly<Record<'Plain words' | 'Fields' | 'Discipline', readonly Layer[]>> = {
  'Plain words': layersNamed({
    frame: 'SHEET-FRAME',
    marks: 'SHEET-MARKS',
    cells: 'BLOCK-LINES',
    captions: 'BLOCK-CAPTIONS',
    values: 'BLOCK-VALUES',
    pictures: 'BLOCK-PICTURES',
    views: 'SHEET-VIEWS',
  }),
  // ISO 13567 (from memory): two characters for the agent, six for the element, two for what is shown: B border, T text,
  // E element graphics, P page; unused places are hyphens.
  Fields: layersNamed({
    frame: 'A-FRAME-B-',
    marks: 'A-MARKS-B-',
    cells: 'A-BLOCK-B-',
    captions: 'A-BLOCK-T-',
    values: 'A-VALUE-T-',
    pictures: 'A-IMAGE-E-',
    views: 'A-VIEWS-P-',
  }),
  // US National CAD Standard (from memory): discipline, major group, minor groups, four characters each.
  Discipline: layersNamed({
    frame: 'A-ANNO-TTLB-BORD',
    marks: 'A-ANNO-TTLB-MARK',
    cells: 'A-ANNO-TTLB',
    captions: 'A-ANNO-TTLB-TEXT',
    values: 'A-ANNO-TTLB-VALU',
    pictures: 'A-ANNO-TTLB-IMAG',
    views: 'A-ANNO-VIEW',
  }),
};
