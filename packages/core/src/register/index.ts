export type { SheetKind } from './sheetNumber';
export { inSheetOrder, nextSheetNumber, SHEET_KINDS } from './sheetNumber';
export type { SheetRecord } from './sheetValues';
export { mayEnter, sheetValues } from './sheetValues';
