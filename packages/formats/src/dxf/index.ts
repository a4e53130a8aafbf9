export { DxfError, flattenDxf, readDxf, spacesOf } from './reading';
export type { StarterBlock } from './writing';
export { writeDxf, writeStarterDrawing } from './writing';
