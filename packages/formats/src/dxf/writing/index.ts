export * from './sheetFile';
export * from './starterDrawing';
export { dxfLineWeight } from './pairs';
