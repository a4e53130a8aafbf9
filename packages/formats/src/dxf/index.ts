export type { Purpose } from './reading';
export { DxfError, flattenDxf, readDxf, spacesOf } from './reading';
export type { PictureFile, PictureFiles, StarterBlock } from './writing';
export { pictureFiles, writeDxf, writeStarterDrawing } from './writing';
