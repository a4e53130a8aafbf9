import type { WorkingUnit } from '../quantity';
import type { Finding } from '../check';
import type { Dock, Loose, Panel } from '../design';
import type { NamedRect, Point, Rect } from '../geometry';
import type { Fit, MarkedSegment } from '../lettering';
import type { PlacedContent } from './content/boxKinds';
import type { GoingOn } from './content/goingOn';
import type { TextContentKind } from './content/textKinds';
import type { FrameRule, Margins, Orientation, Zones } from '../standard';

/** A cell where it came to stand. */
export interface CellLayout extends Rect {
  id: string;
  name: string;
  panel: string;
  depth: number;
  divided: boolean;
  /** Positions of the tracks' limits: columns from the left, rows from the top. */
  columns?: number[];
  rows?: number[];
  /** Half of the gap that lies on each side of a limit, which stands in its middle; left out where there are no gaps. */
  halfGaps?: { columns: number[]; rows: number[] };
}

/** A text where it came to stand. x and y are the start of its last base line; lengths in mm. */
export interface TextLayout {
  content: string;
  cell: string;
  kind: TextContentKind;
  text: string;
  role: string;
  x: number;
  y: number;
  height: number;
  width: number;
  widthFactor: number;
  rotation: number;
  /** To which side its lines are aligned. */
  horizontal: 'left' | 'centre' | 'right';
  /** Lines with the start of each base line; where words stand out, in parts along it. */
  lines: { text: string; x: number; y: number; width: number; segments?: MarkedSegment[] }[];
  /** The role whose typeface and pen strong words have. */
  strong?: string;
  fit: Fit;
  /** Millimetres by which it spills. */
  by: number;
  /** The field's pattern, when it comes from data. */
  pattern?: string;
}

/** A free line, rectangle or stamp with its points on paper. */
export type LooseLayout =
  | { kind: 'line' | 'rectangle'; loose: Extract<Loose, { kind: 'line' | 'rectangle' }>; from: Point; to: Point }
  | { kind: 'stamp'; loose: Extract<Loose, { kind: 'stamp' }>; at: Point; text: string }
  | { kind: 'picture'; loose: Extract<Loose, { kind: 'picture' }>; place: Rect };

export interface PanelLayout extends Rect {
  id: string;
  name: string;
  dock: Dock;
  panel: Panel;
}

/** A design solved for one sheet size and one set of values. Lengths in mm, origin at the sheet's lower-left corner. */
export interface SheetLayout {
  sheet: { name: string; orientation: Orientation; width: number; height: number };
  /** The unit in which lengths are told. */
  unit: WorkingUnit;
  margins: Margins;
  /** What the office standard says of frames of this size. */
  rule: FrameRule;
  frame: Rect;
  zones?: Zones;
  /** What edge-docked panels leave of the frame. */
  drawingArea: Rect;
  /** Room of the drawing area that panels in its corners or floating over it take, each with the panel's name. */
  claimed: NamedRect[];
  panels: PanelLayout[];
  cells: CellLayout[];
  /** Ids of cells whose condition does not hold, and of those in them; their tracks have closed up. */
  hidden: Set<string>;
  texts: TextLayout[];
  /** Contents that are no texts. */
  placed: PlacedContent[];
  loose: LooseLayout[];
  /** Tables that leave rows to the next one of their kind, by what they list: the rows that have a place, and the table that was last. */
  goingOn: Map<string, GoingOn>;
  dimensions: Map<string, number>;
  findings: Finding[];
}
