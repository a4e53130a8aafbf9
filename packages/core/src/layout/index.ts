export * from './tracks';
export * from './sheetLayout';
export { LayoutError } from './measures';
export { DEFAULT_PADDING, UnknownLetteringError } from './cellContent';
export * from './solve';
