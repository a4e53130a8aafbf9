export * from './schema';
export * from './validate';
export * from './tracks';
export * from './visit';
export * from './edits';
