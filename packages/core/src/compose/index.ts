export * from './compose';
export * from './projectSheet';
export { unsolvedFinding } from './projectSheetFindings';
export { colourOf, exportLayers, inkOf } from './layers';
export type { ExportLayer } from './layers';
export type { TableRows } from './content';
