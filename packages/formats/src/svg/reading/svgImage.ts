import type { ImageItem, NamedPicture } from '@mendrel/core';
import type { Rect } from '@mendrel/core';
import { containedIn } from '@mendrel/core';
import type { Matrix } from '../../geometry/matrix';
import { moved } from '../../geometry/matrix';
import { ImageFileError, readImageHeader } from '../../images';
import { attributeLength } from './svgGeometry';
import type { XmlNode } from './xmlTree';

/** A PNG or JPEG file that is written into the SVG itself. */
const INSIDE = /^data:image\/(?:png|jpe?g);base64,/i;
/** How far the edges of an image may be off level and upright, as a part of its size. */
const ASKEW = 0.01;

/** An image of an SVG: with its file, or named where that lies beside the drawing, or why it is left out. */
export type SvgImage =
  | { kind: 'inside'; item: ImageItem }
  | { kind: 'named'; picture: NamedPicture }
  | { kind: 'out'; why: string };

/** Reads an `<image>` element; nothing is ever fetched. @param number which image of the drawing it is, for one without a name */
export function svgImage(node: XmlNode, matrix: Matrix, layer: string, number: number): SvgImage {
  const { attributes } = node;
  const box = boxOf(attributes, matrix);
  if (!box) return { kind: 'out', why: 'a picture that does not stand upright, or has no size' };
  const href = (attributes.href ?? attributes['xlink:href'] ?? '').trim();
  if (!href.startsWith('data:')) {
    const name = href.split(/[/\\]/).at(-1) ?? '';
    return { kind: 'named', picture: { name: name.slice(0, 200) || `picture ${number}`, layer, ...box } };
  }
  const head = INSIDE.exec(href);
  if (!head) return { kind: 'out', why: 'a picture that is neither PNG nor JPEG' };
  const data = href.slice(head[0].length).replace(/\s+/g, '');
  try {
    const bytes = Uint8Array.from(atob(data), (each) => each.charCodeAt(0));
    const { type, columns, rows } = readImageHeader(bytes);
    const fitted = /^none/.test((attributes.preserveAspectRatio ?? '').trim()) ? box : containedIn(box, columns / rows);
    const name = `picture ${number}`;
    const pixels = { columns, rows };
    return {
      kind: 'inside',
      item: { kind: 'image', part: 'block', layer, name, type, file: { data }, pixels, ...fitted },
    };
  } catch (error) {
    const known = error instanceof ImageFileError;
    if (!known && !(error instanceof DOMException)) throw error;
    return { kind: 'out', why: known ? error.message : 'a picture that is damaged' };
  }
}

/** Where an upright image stands on paper; undefined for one that is turned, mirrored or has no size. */
function boxOf(attributes: XmlNode['attributes'], matrix: Matrix): Rect | undefined {
  const [x, y] = [Number.parseFloat(attributes.x ?? '0') || 0, Number.parseFloat(attributes.y ?? '0') || 0];
  const [width, height] = [sizeOf(attributes.width), sizeOf(attributes.height)];
  if (!(width > 0) || !(height > 0)) return undefined;
  const [x0, y0] = moved(matrix, x, y + height);
  const [x1, y1] = moved(matrix, x + width, y + height);
  const [x2, y2] = moved(matrix, x, y);
  const upright =
    x1 > x0 && y2 > y0 && Math.abs(y1 - y0) <= ASKEW * (x1 - x0) && Math.abs(x2 - x0) <= ASKEW * (y2 - y0);
  return upright ? { x: x0, y: y0, width: x1 - x0, height: y2 - y0 } : undefined;
}

/** A length of an image in the file's units. */
function sizeOf(text: string | undefined): number {
  const plain = Number(text);
  return Number.isFinite(plain) ? plain : ((attributeLength(text) ?? 0) * 96) / 25.4;
}
