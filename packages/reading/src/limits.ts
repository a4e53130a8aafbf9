/** What one reading may take. */
export interface ReadingLimits {
  /** In seconds, from when it begins. */
  seconds: number;
  /** Memory of the whole process that reads, in MB. */
  megabytes: number;
}

/** Limits that hold unless others are asked for: any title block is read in seconds, and in a fraction of this memory. */
export const READING_LIMITS: ReadingLimits = { seconds: 60, megabytes: 1000 };

/** A reading that was ended because it took more than it may. */
export class ReadingLimitError extends Error {
  override name = 'ReadingLimitError';
  constructor(
    readonly limit: keyof ReadingLimits,
    { seconds, megabytes }: ReadingLimits,
  ) {
    super(
      limit === 'seconds'
        ? `the drawing takes longer than ${seconds} s to read; take out what does not belong to the title block`
        : `the drawing needs more than ${megabytes} MB of memory to be read; take out what does not belong to the title block`,
    );
  }
}

/** A reading that was given up by whoever asked for it. */
export class ReadingStoppedError extends Error {
  override name = 'ReadingStoppedError';
  constructor() {
    super('the reading was stopped');
  }
}
