export { counted } from './count';
export type { LengthUnit, WorkingUnit } from './length';
export {
  amountInWords,
  formatLength,
  lengthAsFormula,
  lengthAtStart,
  MM_PER,
  parseLength,
  QuantityError,
} from './length';
export type { Scale } from './scale';
export { isImperial, onPaper, parseScale, readScale, realSizeHeight } from './scale';
export type { BarOfScale } from './scaleBar';
export { barOfScale } from './scaleBar';
