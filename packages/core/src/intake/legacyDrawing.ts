import type { Item } from '../drawing';
import type { Rect } from '../geometry';

/** What was left out and why. */
export interface Dropped {
  layer: string;
  entities: number;
  why: string;
}

/** The layer of the edge of a page, which a reader adds for orientation although nobody drew it. */
export const PAGE_EDGE = 'edge of the page';

/** A picture that a drawing names and whose file is not in it, with its place in drawing units. */
export interface NamedPicture extends Rect {
  /** The name of its file. */
  name: string;
  layer: string;
}

/** A legacy drawing as a reader hands it over: linework in drawing units, wherever and however large it was drawn. */
export interface LegacyDrawing {
  items: Item[];
  source: { format: string; version: string; entities: number };
  /** Unit that the file claims, as DXF counts them: 1 inches, 2 feet, 4 mm, 5 cm, 6 m. */
  insertUnits?: number;
  /** Layers of the file with nothing on them. */
  emptyLayers?: number;
  /** Pictures whose files lie beside the drawing. */
  named?: NamedPicture[];
  /** What the reader left out. */
  dropped: Dropped[];
}
