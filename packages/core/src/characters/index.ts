export * from './wellFormed';
