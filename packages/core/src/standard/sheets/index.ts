export * from './sheetSizes';
export * from './zones';
export * from './frameRule';
export * from './folding';
