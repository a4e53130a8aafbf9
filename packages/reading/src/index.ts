export type { ReadingLimits } from './limits';
export { READING_LIMITS, ReadingLimitError, ReadingStoppedError } from './limits';
export { ReadingProcess } from './readingProcess';
export type { ReadBy, ReadingResult, ReadSpace, ReadingTask } from './tasks';
