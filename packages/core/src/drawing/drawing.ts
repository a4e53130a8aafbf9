import type { Point, Rect } from '../geometry';

/**
 * Linework on paper: what every reader makes and every writer takes. Millimetres, origin at the lower-left corner of
 * the trimmed sheet, y up. Items are drawn in order.
 */
export interface Drawing {
  width: number;
  height: number;
  items: Item[];
}

interface ItemBase {
  /** Name of the layer in exported files. */
  layer: string;
  /** Which part of the sheet it belongs to. */
  part: 'frame' | 'block' | 'view';
  /** The cell of the design it comes from. */
  cell?: string;
  /** #rrggbb; black when left out. */
  colour?: string;
  /** How much it covers what lies under it, 0 to 1; all of it when left out. */
  opacity?: number;
  /** It lies under all that is not so marked; such items come first. */
  under?: true;
  /** The text of which it is a part, and the line in it: words that stand out, and the lines under them. */
  within?: { text: string; line: number; label?: true; tab?: true; underlined?: true };
}

/**
 * What a line was drawn with in a file that was read: its weight in mm, the width it has in the
 * drawing's own units, its colour by number; what the file does not say is left out.
 */
export interface OldPen {
  weight?: number;
  drawnWidth?: number;
  colour?: number;
}

/** A polyline of straight pieces; `points` is x, y, x, y … */
export interface StrokeItem extends ItemBase {
  kind: 'stroke';
  points: number[];
  closed: boolean;
  /** Line width in mm. */
  width: number;
  oldPen?: OldPen;
  /** Dash, gap … in mm; a continuous line when left out. */
  dashes?: number[];
}

/** A circle or an arc, counter-clockwise from `from` to `to` in degrees; 0 to 360 is a whole circle. */
export interface ArcItem extends ItemBase {
  kind: 'arc';
  centre: Point;
  radius: number;
  from: number;
  to: number;
  width: number;
  oldPen?: OldPen;
  dashes?: number[];
}

/** A filled area with holes by the even-odd rule; each ring is x, y, x, y … */
export interface FillItem extends ItemBase {
  kind: 'fill';
  rings: number[][];
}

/** One line of text. */
export interface TextItem extends ItemBase {
  kind: 'text';
  text: string;
  /** Start of the base line. */
  at: Point;
  /** Height of capitals in mm. */
  height: number;
  /** Width of the set line in mm. */
  width: number;
  widthFactor: number;
  /** Degrees, counter-clockwise. */
  rotation: number;
  typeface: string;
  role: string;
  /** Its parts where letters come from another typeface: their text, how far along the line they begin, and their width, in mm. */
  runs?: { text: string; typeface: string; along: number; width: number }[];
  /** To which side it is aligned, so that another text in its place keeps to it; left when left out. `at` is the start anyway. */
  align?: 'left' | 'centre' | 'right';
  /** It is the next line of the text before it, which was wrapped. */
  follows?: true;
  /** Set when the text comes from data: the tag under which other programs keep it, and the words that ask for it. */
  field?: { tag: string; prompt: string; parameter: string };
}

/** An image file in its place; what lies outside of `clip` is not shown. Both lie on paper as the image stands, turned or not. */
export interface ImageItem extends ItemBase, Rect {
  kind: 'image';
  name: string;
  type: 'png' | 'jpeg';
  file: ImageFile;
  /** Its dots across and up, where a reader counted them. */
  pixels?: { columns: number; rows: number };
  clip?: Rect;
  /** A closed outline, x, y, x, y …: what of `clip` lies outside of it by the even-odd rule is not shown either. */
  outline?: readonly number[];
  /** By how many degrees it is turned within its place, counter-clockwise. */
  turn?: 90 | 180 | 270;
}

/** The place of an image before it is turned about its middle. */
export function beforeTurn({ x, y, width, height, turn }: ImageItem): Rect {
  if (turn === undefined || turn === 180) return { x, y, width, height };
  return { x: x + (width - height) / 2, y: y + (height - width) / 2, width: height, height: width };
}

/**
 * A piece of a drawing that a view shows, in its place: what lies outside of the box is not shown. Its linework is kept beside
 * the Drawing; writers of files are given its items instead.
 */
export interface PieceItem extends ItemBase, Rect {
  kind: 'piece';
  /** The view. */
  name: string;
  /** SHA-256 of the linework. */
  linework: string;
  /** What of it stands at the lower left corner, in its own units. */
  from: Point;
  /** Millimetres of paper for each of its units. */
  perUnit: number;
  /** Layers of it that are not shown. */
  hidden: readonly string[];
  /** What its texts are lettered in. */
  typeface: string;
  /** The typeface that letters are taken from which that one lacks. */
  fallback?: string;
  /** The width of lines that have none of their own, in mm. */
  least: number;
  /** The outline of the window in its own units, where it is no rectangle: round, or corners as x, y, x, y …. */
  outline?: 'circle' | readonly number[];
  /** Pens for layers of it, the first that matches; where none does, lines are as wide as in the drawing. */
  pens?: readonly PiecePen[];
}

/** How lines of some layers of a piece are drawn. */
export interface PiecePen {
  /** The name of a layer; `*` stands for any letters. */
  layers: string;
  /** Only lines that have this width in the drawing, in mm. */
  weight?: number;
  /** Only lines that have this colour in the drawing, by its number in DXF. */
  was?: number;
  /** In mm. */
  width: number;
  colour?: string;
}

/** An image file as base64, or the SHA-256 under which it is kept; writers of files need the file itself. */
export type ImageFile = { data: string } | { asset: string };

export type Item = StrokeItem | ArcItem | FillItem | TextItem | ImageItem | PieceItem;

/** The bounds of an item, strokes without their width. */
export function boundsOf(item: Item): Rect {
  switch (item.kind) {
    case 'stroke':
      return boundsOfPoints(item.points);
    case 'fill':
      return boundsOfPoints(item.rings.flat());
    case 'arc':
      return {
        x: item.centre.x - item.radius,
        y: item.centre.y - item.radius,
        width: 2 * item.radius,
        height: 2 * item.radius,
      };
    case 'image': {
      const { x, y, width, height } = item.clip ?? item;
      return { x, y, width, height };
    }
    case 'piece':
      return { x: item.x, y: item.y, width: item.width, height: item.height };
    case 'text': {
      const turn = (item.rotation * Math.PI) / 180;
      const [c, s] = [Math.cos(turn), Math.sin(turn)];
      const corners = [0, 0, item.width, 0, item.width, item.height, 0, item.height];
      const turned: number[] = [];
      for (let i = 0; i < corners.length; i += 2) {
        const [x, y] = [corners[i] ?? 0, corners[i + 1] ?? 0];
        turned.push(item.at.x + x * c - y * s, item.at.y + x * s + y * c);
      }
      return boundsOfPoints(turned);
    }
  }
}

/** The bounds of points, x, y, x, y …. */
export function boundsOfPoints(points: readonly number[]): Rect {
  let [x0, y0, x1, y1] = [Infinity, Infinity, -Infinity, -Infinity];
  for (let i = 0; i + 1 < points.length; i += 2) {
    const [x, y] = [points[i] ?? 0, points[i + 1] ?? 0];
    x0 = Math.min(x0, x);
    x1 = Math.max(x1, x);
    y0 = Math.min(y0, y);
    y1 = Math.max(y1, y);
  }
  return { x: x0, y: y0, width: x1 - x0, height: y1 - y0 };
}

/** The closed outline of a rectangle as stroke points. */
export function rectPoints(rect: Rect): number[] {
  const [x1, y1] = [rect.x + rect.width, rect.y + rect.height];
  return [rect.x, rect.y, x1, rect.y, x1, y1, rect.x, y1];
}
