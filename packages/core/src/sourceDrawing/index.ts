export type { SourceLayer, SourceSpace, SourceSummary } from './sourceSpace';
export { SOURCE_VERSION, sourceSpace } from './sourceSpace';
export { DRAWING_UNITS, isLikelyUnit, likelyUnit } from './drawingUnit';
export { pieceItems } from './pieceItems';
export { clipped } from './clip';
