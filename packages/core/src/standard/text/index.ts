export type { LetteringRole } from './lettering';
export {
  INCH_HEIGHTS,
  ISO_HEIGHTS,
  letteringRoleSchema,
  METRIC_HEIGHTS,
  nearestHeight,
  nextSmaller,
  ROLE_USES,
} from './lettering';
export type { DimensionFigures } from './dimensionFigures';
export { dimensionFigures, figuresOnOneLine } from './dimensionFigures';
export type { DimensionLettering } from './dimensionLettering';
export {
  dimensionLetteringSchema,
  FRACTION_HEIGHT,
  FRACTION_STYLES,
  INCH_DIMENSIONS,
  METRIC_DIMENSIONS,
  MOVED_OUT,
  TERMINATORS,
} from './dimensionLettering';
export { realSizeTable } from './realSizes';
export { reducedPrint, reduction } from './reducedPrint';
export { roleFor, USUAL_HEIGHTS } from './roleFor';
