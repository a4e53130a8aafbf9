export type { DrawnSheet, SheetResult, UndrawnSheet } from './drawSheet';
export { drawSheet, toMend } from './drawSheet';
export type { SheetSwap } from './swap';
export { mendedBy, newToMend, swapSheet } from './swap';
export { unsolvedFinding } from './sheetFindings';
export type { ProjectSource, SheetSource } from './sheetSource';
export { sameSource, sharedSource, sheetSources, tablesOf, withRows, valuesOf } from './sheetSource';
