/** Changes of one thing that are told at a time; the newest first. */
export const HISTORY_PAGE = 50;

/** A field that became another. */
export interface HistoryEntry {
  id: string;
  /** `number`, `title`, `kind`, `size`, `views`, or the key of a parameter. */
  field: string;
  /** Null where there was nothing, or is nothing any more. */
  before: string | null;
  after: string | null;
  at: string;
}
