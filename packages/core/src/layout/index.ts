export type { SizedTrack } from './tracks';
export { sizeTracks } from './tracks';
export type { CellLayout, LooseLayout, SheetLayout, TextLayout } from './sheetLayout';
export { LayoutError, measure } from './measures';
export type { BoxContentKind, PlacedContent, PlacedOf, TextContent, TextContentKind } from './content';
export { DEFAULT_PADDING, isText, ownSymbolOf, SYMBOL_PROPORTION, symbolTurn, UnknownLetteringError } from './content';
export { OTHER_REVISION } from './missingPens';
export { solveDesign, trackLengths } from './solve';
export { anchorOf } from './loose';
