export type { Edge, FrameRule, Margins, Orientation, SheetSize, ZoneRule, Zones } from './sheets';
export type { PublishedStandard } from './published';
export { PUBLISHED_STANDARDS } from './published';
export type { RealData, TriedOn } from './tryOn';
export { triedOn } from './tryOn';
export {
  asRuled,
  edgeRatio,
  EDGES,
  FILING_MARGIN,
  foldsOf,
  FRAME_PRESETS,
  frameOf,
  frameRuleFor,
  frameRuleSchema,
  LEAST_EDGE,
  MOST_EDGE,
  nearestSize,
  SHEET_SIZES,
  sheetExtent,
  findSize,
  sheetSize,
  sizeByExtent,
  sizeOfExtent,
  sheetSizeSchema,
  SIZE_SERIES,
  standardMargins,
  UnknownSizeError,
  ZONE_BAND,
  zonesOf,
} from './sheets';
export type { DrawingPen, Layer, LayerUse, LinePattern, Pen, PenUse } from './lines';
export {
  BLACK,
  dashesOf,
  LAYER_PRESETS,
  LAYER_USE_WORDS,
  LAYER_USES,
  LINE_WIDTHS,
  MOST_DRAWING_PENS,
  nearestLineWidth,
  patternName,
  penFor,
  penSchema,
} from './lines';
export type { DimensionFigures, DimensionLettering, LetteringRole, TitleLine, ViewKey, ViewTitle } from './text';
export {
  dimensionFigures,
  figuresOnOneLine,
  FRACTION_HEIGHT,
  FRACTION_STYLES,
  INCH_DIMENSIONS,
  INCH_HEIGHTS,
  ISO_HEIGHTS,
  letteringRoleSchema,
  METRIC_HEIGHTS,
  MOVED_OUT,
  nearestHeight,
  nextSmaller,
  realSizeTable,
  reducedPrint,
  reduction,
  ROLE_USES,
  roleFor,
  TERMINATORS,
  USUAL_HEIGHTS,
  MOST_TITLE_LINES,
  TITLE_LINES,
  USUAL_VIEW_TITLE,
  VIEW_KEYS,
  TITLE_GAP,
  TITLE_LEADING,
  viewTitleOf,
  viewTitleRoom,
} from './text';
export { isUsual } from './scales';
export type { Device } from './devices';
export type { OfficeStandard } from './officeStandard';
export {
  LETTERING_TYPEFACE,
  LETTERING_TYPEFACE_STRONG,
  officeStandardSchema,
  parametersOf,
  penOf,
  penWidth,
  roleOf,
  sizesOf,
  STARTING_STANDARD,
} from './officeStandard';
export type { OwnSymbol } from './symbols';
export { MOST_OWN_SYMBOLS, ownSymbolSchema } from './symbols';
export { migrateStandard, STANDARD_VERSION } from './migrate';
export { problemsIn, readStandard, StandardError, standardProblems } from './readStandard';
export type { Unprintable } from './printable';
export { frameOnDevices, framesOutside, unprintableOn } from './printable';
export type { StandardChange } from './difference';
export { standardDifference } from './difference';
