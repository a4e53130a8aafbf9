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
export type { TitleLine, ViewKey, ViewTitle } from './viewTitle';
export {
  MOST_TITLE_LINES,
  TITLE_LINES,
  USUAL_VIEW_TITLE,
  VIEW_KEYS,
  viewTitleOf,
  viewTitleRoom,
  TITLE_GAP,
  TITLE_LEADING,
  viewTitleSchema,
} from './viewTitle';
export { roleFor, USUAL_HEIGHTS } from './roleFor';
