export { boxItems } from './boxes';
export { sheetTags, textItems } from './texts';
