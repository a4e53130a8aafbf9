export * from './legacyFile';
export * from './legacyFileError';
