export * from './legacyDrawing';
export * from './report';
export { convertLegacy, IntakeError } from './convert';
export type { Conversion } from './convert';
export { parameterOfCaption, parameterOfTag } from './lexicon';
