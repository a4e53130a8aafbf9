export * from './tracks';
export * from './sheetLayout';
export { LayoutError } from './measures';
export { DEFAULT_PADDING, UnknownLetteringError } from './content';
export * from './solve';
export { anchorOf } from './loose';
