import type { Linework } from '@mendrel/core';
import { color as colourFrom, rgb } from 'd3-color';
import type { Matrix } from '../geometry/matrix';
import { stretchOf } from '../geometry/matrix';
import { attributeLength, composed, flattened, pathOf } from '../svg/reading/svgGeometry';
import type { Look } from '../svg/reading/svgLook';
import { FIRST_LOOK, lookOf, rulesOf } from '../svg/reading/svgLook';
import { XmlError, xmlTree } from '../svg/reading/xmlTree';
import type { XmlNode } from '../svg/reading/xmlTree';
import { ImageFileError } from './imageFile';

/** Linework of an SVG file, y up from its lower edge, with what was left out of it. */
export interface SvgPicture {
  /** Natural size in mm. */
  width: number;
  height: number;
  linework: Linework[];
  /** What was not taken over, in words. */
  dropped: string[];
}

const MOST_CHARACTERS = 2_000_000;
const MOST_ELEMENTS = 5000;
const MOST_DEPTH = 60;
const MOST_PIECES = 2000;
const MOST_NUMBERS = 20_000;
/** Largest distance of a straight piece from its curve, as a part of the picture's larger side. */
const FLATNESS = 1 / 4000;

/** Elements that draw nothing by themselves and whose loss changes nothing that is drawn. */
const SILENT = new Set(['title', 'desc', 'metadata', 'defs', 'sodipodi:namedview', 'style', '']);

/** No line of a picture is wider, in mm. */
const MOST_LINE = 100;

/** How much a paint covers of what is below, 0 to 1. White counts as well: it shows where it lies over something else. */
const coverOf = (paint: string, opacity: number): number =>
  paint === 'none' ? 0 : (colourFrom(paint)?.opacity ?? 1) * opacity;

/** A colour that covers a part of the white paper, as it looks there. */
const onWhite = (hex: string, cover: number): string => {
  const { r, g, b } = rgb(hex);
  const over = (each: number): number => Math.round(255 - (255 - each) * cover);
  return rgb(over(r), over(g), over(b)).formatHex();
};

/**
 * Reads the lines and areas of an SVG file. Nothing of the file itself is kept, so scripts, links and styles cannot come
 * along; what is left out is said.
 * @throws ImageFileError for what is no SVG, or one without linework
 */
export function readSvgPicture(text: string): SvgPicture {
  if (text.length > MOST_CHARACTERS) throw new ImageFileError('this SVG file is larger than 2 MB');
  let root: XmlNode;
  try {
    root = xmlTree(text, MOST_ELEMENTS);
  } catch (error) {
    if (!(error instanceof XmlError)) throw error;
    throw new ImageFileError(`this SVG file cannot be read; it is damaged or no SVG (${error.message})`);
  }
  if (root.name !== 'svg') throw new ImageFileError('this file is no SVG picture');
  const reader = new PictureReader(root);
  reader.element(root, reader.outer, FIRST_LOOK, 0);
  if (reader.linework.length === 0) {
    throw new ImageFileError('this SVG picture has no lines or areas that can be drawn');
  }
  return {
    width: reader.width,
    height: reader.height,
    linework: reader.linework,
    dropped: [...reader.dropped].map(([what, count]) => (count > 1 ? `${what} (${count})` : what)),
  };
}

/** What the style sheets of a file say, wherever they stand in it. */
function styleSheets(node: XmlNode, depth = 0): string[] {
  if (depth > MOST_DEPTH) return [];
  if (node.name === 'style') return [node.children.map((child) => child.value).join('')];
  return node.children.flatMap((child) => styleSheets(child, depth + 1));
}

class PictureReader {
  readonly linework: Linework[] = [];
  readonly dropped = new Map<string, number>();
  readonly width: number;
  readonly height: number;
  /** From the file's units to mm with y up. */
  readonly outer: Matrix;
  private elements = 0;
  private readonly rules: ReturnType<typeof rulesOf>;

  constructor(root: XmlNode) {
    this.rules = rulesOf(styleSheets(root));
    const box = (root.attributes.viewBox ?? '').split(/[\s,]+/).map(Number);
    const [x = 0, y = 0, w, h] = box.length === 4 && box.every(Number.isFinite) ? box : [];
    const width = attributeLength(root.attributes.width) ?? (w === undefined ? undefined : (w * 25.4) / 96);
    const height = attributeLength(root.attributes.height) ?? (h === undefined ? undefined : (h * 25.4) / 96);
    if (!width || !height || width > 5000 || height > 5000) {
      throw new ImageFileError('this SVG picture does not say its size; it needs a viewBox, or a width and height');
    }
    this.width = width;
    this.height = height;
    const scaleX = w ? width / w : 25.4 / 96;
    const scaleY = h ? height / h : 25.4 / 96;
    this.outer = [scaleX, 0, 0, -scaleY, -x * scaleX, height + y * scaleY];
  }

  private drop(what: string): void {
    this.dropped.set(what, (this.dropped.get(what) ?? 0) + 1);
  }

  element(node: XmlNode, matrix: Matrix, look: Look, depth: number): void {
    if (node.type === 'text') return;
    if (++this.elements > MOST_ELEMENTS) throw new ImageFileError(`this SVG has more than ${MOST_ELEMENTS} elements`);
    if (depth > MOST_DEPTH) throw new ImageFileError('this SVG is nested too deep');
    for (const name of Object.keys(node.attributes)) {
      if (/^on/i.test(name)) this.drop('a script');
      if (/href$/i.test(name) && !node.attributes[name]?.startsWith('#')) this.drop('a link to somewhere else');
    }
    const own = lookOf(node, look, this.rules);
    const data = pathOf(node);
    if (data !== undefined) {
      this.path(data, composed(matrix, node.attributes.transform), own);
      return;
    }
    if (node.name === 'g' || node.name === 'svg' || node.name === 'a') {
      const inner = node.name === 'svg' ? matrix : composed(matrix, node.attributes.transform);
      for (const child of node.children) this.element(child, inner, own, depth + 1);
      return;
    }
    if (SILENT.has(node.name)) return;
    this.drop(DROPPED_WORDS[node.name] ?? `<${node.name}>`);
  }

  /** The colour of a paint; none for black and for what follows its surroundings, which are drawn in the pen of the sheet. */
  private colourOf(paint: string, cover: number): { colour?: string } {
    if (/^url\(/i.test(paint)) this.drop('a gradient or a pattern, drawn in one colour');
    if (cover < 1) this.drop('a part that lets others show through, drawn as on bare paper');
    const full = colourFrom(paint)?.formatHex();
    const hex = cover < 1 ? onWhite(full ?? '#000000', cover) : full;
    return hex === undefined || hex === '#000000' ? {} : { colour: hex };
  }

  private path(data: string, matrix: Matrix, look: Look): void {
    const fill = coverOf(look.fill, look.opacity * look.fillOpacity);
    const stroke = look.strokeWidth > 0 ? coverOf(look.stroke, look.opacity * look.strokeOpacity) : 0;
    if (!look.shown || (fill === 0 && stroke === 0)) return;
    const rings = flattened(data, matrix, Math.max(this.width, this.height) * FLATNESS);
    if (rings === undefined) {
      this.drop('a path that cannot be read');
      return;
    }
    const usable = rings.filter(({ points }) => points.length >= 4 && points.length <= MOST_NUMBERS);
    if (usable.length < rings.length) this.drop('a path with too few or too many points');
    if (this.linework.length + usable.length > MOST_PIECES) {
      throw new ImageFileError(`this SVG has more than ${MOST_PIECES} lines and areas`);
    }
    const areas = usable.filter(({ points }) => points.length >= 6).map(({ points }) => points);
    if (fill > 0 && areas.length > 0) {
      const colour = this.colourOf(look.fill, fill);
      // White on bare paper makes no mark; over something else it does.
      const bare = colour.colour === '#ffffff' && this.linework.length === 0;
      for (let i = 0; i < areas.length && !bare; i += 200)
        this.linework.push({ kind: 'fill', rings: areas.slice(i, i + 200), ...colour });
    }
    if (stroke > 0) {
      const width = Math.min(look.strokeWidth * stretchOf(matrix), MOST_LINE);
      const pen = { ...this.colourOf(look.stroke, stroke), ...(width > 0 ? { width } : {}) };
      for (const { points, closed } of usable) this.linework.push({ kind: 'stroke', points, closed, ...pen });
    }
  }
}

const DROPPED_WORDS: Readonly<Record<string, string>> = {
  script: 'a script',
  foreignObject: 'foreign content',
  image: 'an image in it',
  use: 'a repeated part',
  text: 'text, which has to be turned into outlines first',
};
