export * from './compose';
export * from './projectSheet';
export { exportLayers } from './layers';
export type { TableRows } from './contentItems';
