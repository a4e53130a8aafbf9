export { readOutlineFile } from './outlineFile';
