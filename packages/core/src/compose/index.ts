export { composeSheet } from './compose';
export { colourOf, exportLayers, inkOf } from './layers';
export type { ExportLayer } from './layers';
