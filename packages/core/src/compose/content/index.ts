export { pictureItems } from './pictures';
export { symbolItems } from './symbols';
export type { TableRows } from './tables';
export { tableItems } from './tables';
export { fieldTags, textItems } from './texts';
