export * from './formula';
export * from './dimensions';
