export { readLegacyFile } from './legacyFile';
export { LegacyFileError } from './legacyFileError';
