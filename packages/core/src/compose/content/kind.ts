import type { Item } from '../../drawing';
import type { Typefaces } from '../../lettering';
import type { Values } from '../../parameter';
import type { OfficeStandard } from '../../standard';
import type { SheetTags } from './texts';

/** What contents are drawn from, besides where they stand. */
export interface DrawWith {
  standard: OfficeStandard;
  typefaces: Typefaces;
  /** What data is called in exported files. */
  tags: SheetTags;
  /** Values that symbols follow: the north angle. */
  values: Values;
}

/** Draws a content where it came to stand. */
export type DrawKind<Placed> = (placed: Placed, on: DrawWith) => Item[];
