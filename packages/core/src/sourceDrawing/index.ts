export type { SourceLayer, SourceSpace, SourceSummary } from './sourceSpace';
export { SOURCE_VERSION, sourceSpace } from './sourceSpace';
export { DRAWING_UNITS, isLikelyUnit, likelyUnit } from './drawingUnit';
export type { WindowOutline } from './windowOutline';
export { outlineRing } from './windowOutline';
export { outlineOnPaper, pieceItems } from './pieceItems';
export { clipped } from './clip';
