export * from './reading';
export * from './writing';
