export * from './sheetNumber';
export * from './sheetValues';
