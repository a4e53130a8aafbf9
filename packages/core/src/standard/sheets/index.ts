export type { Orientation, SheetSize } from './sheetSizes';
export {
  edgeRatio,
  findSize,
  LEAST_EDGE,
  MOST_EDGE,
  nearestSize,
  SHEET_SIZES,
  sheetExtent,
  sheetSize,
  sheetSizeSchema,
  sizeByExtent,
  sizeOfExtent,
  SIZE_SERIES,
  UnknownSizeError,
} from './sheetSizes';
export type { ZoneRule, Zones } from './zones';
export { ZONE_BAND, zonesOf } from './zones';
export type { Edge, FrameRule, Margins } from './frameRule';
export {
  asRuled,
  EDGES,
  FRAME_PRESETS,
  frameOf,
  frameRuleFor,
  frameRuleSchema,
  marginsSchema,
  standardMargins,
  STARTING_FRAME_RULES,
} from './frameRule';
export { FILING_MARGIN, foldsOf } from './folding';
