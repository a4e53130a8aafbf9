/** How far the tables that list the same have come. */
export interface GoingOn {
  /** Rows that have a place. */
  shown: number;
  /** Rows that have none yet. */
  left: number;
  cell: string;
  content: string;
  /** What it lists, within a sentence. */
  what: string;
}
