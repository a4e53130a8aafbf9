export * from './sheetSizes';
export * from './frame';
export * from './lettering';
export * from './scales';
export * from './officeStandard';
export * from './realSizes';
export * from './reducedPrint';
