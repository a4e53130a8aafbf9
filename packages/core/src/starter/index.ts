export * from './starters';
