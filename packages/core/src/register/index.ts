export type { FileNameProblem } from './fileNames';
export { FILE_NAME_PATTERNS, fileNamePatternProblem, fileNameProblems, USUAL_FILE_NAMES } from './fileNames';
export type { NumberingProblem } from './numberingProblems';
export { exampleNumber, numberingProblems } from './numberingProblems';
export type { NumberingScheme } from './numberingScheme';
export {
  NATIONAL_DISCIPLINES,
  nextByScheme,
  numberingSchema,
  patternProblem,
  readNumber,
  USUAL_SCHEMES,
  writeNumber,
} from './numberingScheme';
export type { Renumbering } from './renumber';
export { renumbered } from './renumber';
export type { SheetKind } from './sheetKind';
export { allKinds, kindOfSheet, MOST_KIND_CHARACTERS, MOST_OWN_KINDS, ownKindsSchema, USUAL_KINDS } from './sheetKind';
export { inHandOrder, inSheetOrder, movedOrder, nextSheetNumber, readSheetNumber, steppedOrder } from './sheetNumber';
export type { SheetRecord } from './sheetValues';
export { mayEnter, sheetValues } from './sheetValues';
