export type { Remedy } from './remedy';
export { whatItWouldTake } from './remedy';
