import type { WorkingUnit } from '../../quantity';
import type { Finding } from '../../check';
import type { Cell } from '../../design';
import { turnedBox } from '../../drawing';
import type { Rect } from '../../geometry';
import type { FitPolicy, Typefaces } from '../../lettering';
import type { FilledPattern, Values } from '../../parameter';
import type { OfficeStandard } from '../../standard';
import type { TableRows } from '../../table';
import type { GoingOn } from './goingOn';

/** What setting contents needs to know. */
export interface TextSetting {
  standard: OfficeStandard;
  typefaces: Typefaces;
  values: Values;
  /** Rows of tables. */
  tables?: TableRows | undefined;
}

/** How a kind of content is set as text. */
export interface TextKind<C> {
  /** Its words for the values in hand, and the keys that have none. */
  words: (content: C, values: Values) => FilledPattern;
  policy: (content: C) => FitPolicy;
  /** Texts of a lower rank get their room in a cell first. */
  rank: number;
  /** The pattern, for a kind whose words come from data: it keeps its place without a value. */
  pattern?: (content: C) => string;
  /** Whether it takes the width there is, instead of asking for one. */
  takesWidth?: true;
}

/** What a box is measured with. */
export interface Measuring {
  setting: TextSetting;
  /** A length of the content in mm. @throws LayoutError that names the content */
  length: (formula: string) => number;
}

/**
 * Where a box may stand; lengths in mm. Rectangles are those of the sheet turned back by the content's rotation about its corner, so that
 * every box is laid level.
 */
export interface Room extends Measuring {
  cell: Cell;
  /** The cell without its padding. */
  inner: Rect;
  whole: Rect;
  /** The unit in which lengths are told. */
  unit: WorkingUnit;
  /** Tables that leave rows to the next one of their kind. */
  goingOn: Map<string, GoingOn>;
}

/** A content where it came to stand, on the sheet as it is turned back for it; `onPaper` says where that is. */
export interface PlacedBox<C> extends Rect {
  cell: string;
  content: C;
}

/** Where a box stands on paper. */
export const onPaper = ({ content, ...box }: PlacedBox<{ rotation: number }>): Rect => turnedBox(box, content.rotation);

/** How a kind of content that is no text is measured and placed. */
export interface BoxKind<C, Placed extends PlacedBox<C>> {
  /** What it takes up, in mm. */
  extent: (content: C, by: Measuring) => { width: number; height: number };
  lay: (content: C, room: Room) => { placed: Placed; findings?: Finding[] };
  /** What to call it where it runs into something else; nothing, when that is not looked for. */
  inOverlaps?: (content: C) => string;
}
