export * from './remedy';
