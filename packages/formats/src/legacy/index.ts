export { readLegacyFile, readSourceFile } from './legacyFile';
export { LegacyFileError } from './legacyFileError';
