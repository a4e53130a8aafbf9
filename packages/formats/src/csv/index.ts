export * from './csvWriter';
export * from './csvReader';
