export * from './letteringSpecimen';
export * from './lineSpecimen';
export * from './dimensionSpecimen';
export * from './sheetSpecimen';
