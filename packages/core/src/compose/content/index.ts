export { boxItems } from './boxes';
export type { TableRows } from './kind';
export { fieldTags, textItems } from './texts';
