export type { Pen } from './pens';
export { BLACK, LINE_WIDTHS, nearestLineWidth, penSchema } from './pens';
export type { LinePattern } from './patterns';
export { dashesOf, linePatternSchema, patternName, STARTING_PATTERNS } from './patterns';
export type { Layer, LayerUse } from './layers';
export { LAYER_PRESETS, LAYER_USE_WORDS, LAYER_USES, layerSchema } from './layers';
export type { PenUse } from './penFor';
export { PEN_USES, penFor } from './penFor';
