export { composeSheet } from './compose';
export { titleItems } from './viewTitle';
export { colourOf, exportLayers, inkOf } from './layers';
export type { ExportLayer } from './layers';
export { letteringOfViews } from './viewItems';
export type { LetteringOfViews } from './viewItems';
