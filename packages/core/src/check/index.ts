export * from './finding';
export * from './standardFindings';
