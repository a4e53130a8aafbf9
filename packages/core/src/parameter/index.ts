export type { OwnParameter, Parameter, ParameterKind } from './parameter';
export {
  asParameter,
  choicesOf,
  isWords,
  newParameter,
  ownParameterSchema,
  PARAMETER_KINDS,
  scopeOf,
  SCOPES,
  TICKED,
} from './parameter';
export type { Parameters, TryOn, Values } from './catalogue';
export { PARAMETERS, parametersWith, SHIPPED_PARAMETERS, tryOnValues } from './catalogue';
export { DATE_FORMS, dateIn } from './date';
export type { DateForm } from './date';
export { datesIn } from './datesIn';
export { LANGUAGES_KEY, languagesParameter, MOST_LANGUAGES } from './languages';
export type { FilledPattern, ValueOf } from './textPattern';
export {
  fillPattern,
  parsePattern,
  PatternError,
  patternKeys,
  patternOfWords,
  withKey,
  writePattern,
} from './textPattern';
export type { PictureValue } from './pictureValue';
export { MOST_PICTURE_CHARACTERS, pictureValue, readPictureValue } from './pictureValue';
export { valueProblem } from './valueProblem';
