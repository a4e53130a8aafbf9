export type { PictureFile, PictureFiles } from './pictureFiles';
export { pictureFiles } from './pictureFiles';
export { writeDxf } from './sheetFile';
export type { StarterBlock } from './starterDrawing';
export { writeStarterDrawing } from './starterDrawing';
export { dxfLineWeight } from './pairs';
