export type { SheetKind } from './sheetNumber';
export { compareSheetNumbers, nextSheetNumber, SHEET_KINDS } from './sheetNumber';
export type { SheetRecord } from './sheetValues';
export { mayEnter, sheetValues } from './sheetValues';
