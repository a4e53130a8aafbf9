export * from './view';
export * from './moduleGrid';
