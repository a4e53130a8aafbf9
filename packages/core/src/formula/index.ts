export type { Names, Value } from './formula';
export { evaluateLength, FormulaError, length, parseFormula, words } from './formula';
export { DimensionError, evaluateDimensions } from './dimensions';
export { renameComparedWords, renameInFormula, usesName } from './renaming';
export { mapLengths } from './scaling';
