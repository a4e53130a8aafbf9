export type { SheetKind } from './sheetKind';
export { kindOfSheet, SHEET_KINDS } from './sheetKind';
export { inSheetOrder, nextSheetNumber, readSheetNumber } from './sheetNumber';
export type { SheetRecord } from './sheetValues';
export { mayEnter, sheetValues } from './sheetValues';
