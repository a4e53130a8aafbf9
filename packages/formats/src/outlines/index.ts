export { readOutlineFile } from './outlineFile';
export type { ReadSymbol } from './symbolFile';
export { readSymbolFile } from './symbolFile';
