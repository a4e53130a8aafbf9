export * from './picture';
