export * from './tracks';
export * from './sheetLayout';
export { LayoutError } from './measures';
export { DEFAULT_PADDING, UnknownLetteringError } from './content';
export { OTHER_REVISION } from './missingPens';
export * from './solve';
export { anchorOf } from './loose';
