export { compareSheetNumbers, nextSheetNumber } from './sheetNumber';
export type { SheetRecord } from './sheetValues';
export { mayEnter, sheetValues } from './sheetValues';
