export type { BoxContentKind, PlacedContent, PlacedOf } from './boxKinds';
export { boxKindOf } from './boxKinds';
export { DEFAULT_PADDING, layContents, naturalSize, paddingOf, shownContents } from './contents';
export type { TextSetting } from './kind';
export { onPaper } from './kind';
export type { TextContent, TextContentKind } from './textKinds';
export { isText } from './textKinds';
export { UnknownLetteringError } from './texts';
export { ownSymbolOf, SYMBOL_PROPORTION, symbolTurn } from './symbols';
