// By itself: whoever only starts the process that reads loads no reader.
export { packedSpace, unpackedSpace } from './packedSpace';
export { readSource } from './readSource';
