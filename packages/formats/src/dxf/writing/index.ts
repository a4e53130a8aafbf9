export { writeDxf } from './sheetFile';
export type { StarterBlock } from './starterDrawing';
export { writeStarterDrawing } from './starterDrawing';
export { dxfLineWeight } from './pairs';
