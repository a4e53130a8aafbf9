export type { Typeface, Typefaces } from './typeface';
export { emPerCapital, measureOf, pairwiseTypeface, textWidth } from './typeface';
export { characterInWords, missingCharacters } from './missingCharacters';
export { breakLines } from './lineBreaking';
export type { MarkedLine, MarkedParagraph, MarkedRun, MarkedSegment } from './markedText';
export { breakMarked, plainText } from './markedText';
export type { Fit, FitPolicy, FittedText } from './fit';
export { fitText, linesHeight, TOLERANCE } from './fit';
