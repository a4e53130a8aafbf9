export * from './legacyDrawing';
export * from './report';
export * from './corrections';
export { convertLegacy, convertSpaces } from './convert';
export type { Conversion, LegacySpace } from './convert';
export * from './sheetSet';
export { IntakeError } from './seenSheet';
export type { IntakeContext } from './seenSheet';
export { parameterOfCaption, parameterOfTag } from './lexicon';
