export * from './limits';
export * from './readingProcess';
export * from './tasks';
