export * from './drawing';
export * from './transform';
export * from './segments';
export * from './deviation';
