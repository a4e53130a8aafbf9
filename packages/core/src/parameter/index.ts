export type { OwnParameter, Parameter, ParameterKind } from './parameter';
export {
  asParameter,
  choicesOf,
  newParameter,
  ownParameterSchema,
  PARAMETER_KINDS,
  scopeOf,
  SCOPES,
  TICKED,
} from './parameter';
export type { Parameters, TryOn, Values } from './catalogue';
export { PARAMETERS, parametersWith, SHIPPED_PARAMETERS, tryOnValues, WITHOUT_SOURCE } from './catalogue';
export { fillPattern, parsePattern, PatternError, patternKeys } from './textPattern';
export { valueProblem } from './valueProblem';
