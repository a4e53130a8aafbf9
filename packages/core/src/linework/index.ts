export type { Linework } from './linework';
export { lineworkSchema } from './linework';
export { asItem } from './asItem';
export { lineworkOf } from './lineworkOf';
export { scaledLinework } from './scaledLinework';
