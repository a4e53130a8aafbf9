export { DxfError } from './tokens';
export type { DxfLayer } from './document';
export { readDxf } from './reader';
export { flattenDxf, spacesOf } from './flatten';
export { plainMtext } from './mtext';
