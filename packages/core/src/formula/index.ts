export * from './formula';
export * from './dimensions';
export * from './renaming';
