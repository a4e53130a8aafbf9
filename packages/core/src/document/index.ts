export type { Problem } from './documentError';
export { DocumentError, problemsOf } from './documentError';
