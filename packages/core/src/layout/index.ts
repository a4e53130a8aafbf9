export * from './tracks';
export * from './sheetLayout';
export { LayoutError } from './measures';
export type { BoxContentKind, PlacedContent, PlacedOf, TextContent, TextContentKind } from './content';
export { DEFAULT_PADDING, isText, UnknownLetteringError } from './content';
export { OTHER_REVISION } from './missingPens';
export * from './solve';
export { anchorOf } from './loose';
