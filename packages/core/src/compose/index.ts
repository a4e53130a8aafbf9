export * from './compose';
export type { TableRows } from './contentItems';
