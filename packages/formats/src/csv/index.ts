export * from './csvWriter';
