import type { Item } from '../../drawing';
import type { Typefaces } from '../../lettering';
import type { Values } from '../../parameter';
import type { OfficeStandard } from '../../standard';

/** Rows of a design's tables by kind of table; each row holds text by column key. */
export type TableRows = Readonly<Record<string, readonly Readonly<Record<string, string>>[]>>;

/** What contents are drawn from, besides where they stand. */
export interface DrawWith {
  standard: OfficeStandard;
  typefaces: Typefaces;
  tables: TableRows;
  /** Values that symbols follow: the north angle. */
  values: Values;
}

/** Draws a content where it came to stand. */
export type DrawKind<Placed> = (placed: Placed, on: DrawWith) => Item[];
