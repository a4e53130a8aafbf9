export * from './legacyDrawing';
export * from './report';
export { convertLegacy, convertSpaces, IntakeError } from './convert';
export type { Conversion, LegacySpace } from './convert';
export { parameterOfCaption, parameterOfTag } from './lexicon';
