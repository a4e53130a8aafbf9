import type { Design } from '../design';
import type { Item } from '../drawing';
import type { Rect } from '../geometry';
import type { LetteringRole } from '../standard';
import type { ReadText } from './readText';

/** A cell of the legacy drawing with what was read in it. */
export interface FoundCell {
  face: Rect;
  texts: ReadText[];
  /** Linework in it that is no ruled line, in mm on paper: logos and the like. */
  linework: Item[];
  /** The colour of an area that fills it, #rrggbb. */
  ground?: string;
}

/** A design made of a legacy drawing, and what became of its parts. */
export interface BuiltDesign {
  design: Design;
  /** Ids that cells and texts were given. */
  cellIds: Map<Rect, string>;
  contentIds: Map<ReadText, string>;
  roles: Map<ReadText, GivenRole>;
  /** Linework of pictures that have more pieces than a picture may have. */
  cut: Item[];
}

/** The role that a text was given, and the one that it would have without corrections. */
export interface GivenRole {
  role: LetteringRole;
  found: LetteringRole;
}
