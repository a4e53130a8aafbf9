export { DxfError } from './tokens';
export type { DxfLayer } from './document';
export { readDxf } from './reader';
export type { Purpose } from './flatten';
export { flattenDxf, spacesOf } from './flatten';
export { plainMtext } from './mtext';
