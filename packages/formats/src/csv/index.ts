export { writeCsv } from './csvWriter';
export { readCsv, readPasted } from './csvReader';
