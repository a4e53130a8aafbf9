import type { Dropped, Item, LegacyDrawing, NamedPicture } from '@mendrel/core';
import type { Matrix } from '../../geometry/matrix';
import { moved, stretchOf } from '../../geometry/matrix';
import { LegacyFileError } from '../../legacy/legacyFileError';
import type { Look } from './svgLook';
import { FIRST_LOOK, isInk, lookOf, rulesOf } from './svgLook';
import { svgImage } from './svgImage';
import { attributeLength, composed, flattened, pathOf } from './svgGeometry';
import { XmlError, xmlTree } from './xmlTree';
import type { XmlNode } from './xmlTree';

const MOST_CHARACTERS = 32 * 1024 * 1024;
const MOST_ELEMENTS = 400_000;
const MOST_ITEMS = 500_000;
const MOST_REPEATS = 20_000;
const MOST_IMAGES = 100;
/** Groups and repeated parts in one another. */
const MOST_DEPTH = 60;
/** Largest distance of a straight piece from its curve, as a part of the drawing's larger side. */
const FLATNESS = 1 / 20_000;
/** Height of capitals to the size of a typeface that is not available; common practice for sans serifs. */
const CAPITALS = 0.716;
/** Width of a letter to the height of capitals, for estimating lengths of texts; common practice. */
const LETTER = 0.85;

/**
 * Reads an SVG file as a legacy drawing, in mm with y up from its lower edge: lines, areas, texts, repeated parts, with
 * the styles that drawing programs write. Layers are the named groups.
 * @throws LegacyFileError for what is no SVG, or one that is too large or nested too deep
 */
export function readSvgDrawing(text: string): LegacyDrawing {
  if (text.length > MOST_CHARACTERS) throw new LegacyFileError('this SVG file is larger than 32 MB');
  if (!/<svg[\s>]/i.test(text)) throw new LegacyFileError('there is no <svg> in this file, so it is no SVG drawing');
  let root: XmlNode;
  try {
    root = xmlTree(text, MOST_ELEMENTS);
  } catch (error) {
    if (!(error instanceof XmlError)) throw error;
    throw new LegacyFileError(`this SVG file is damaged: ${error.message}`);
  }
  if (root.name !== 'svg') throw new LegacyFileError(`this is an XML file, but no SVG: it begins with <${root.name}>`);
  const reader = new DrawingReader(root);
  reader.children(root, reader.outer, FIRST_LOOK, { layer: '0', depth: 0 });
  return {
    items: reader.items,
    source: { format: 'SVG', version: root.attributes.version ?? '1.1', entities: reader.elements },
    ...(reader.named.length > 0 ? { named: reader.named } : {}),
    dropped: reader.droppedParts(),
  };
}

/** A colour as it is kept. */
const SIX_DIGITS = /^#[0-9a-f]{6}$/i;

interface Place {
  layer: string;
  depth: number;
}

/** Elements that draw nothing by themselves, or only when something else asks for them. */
const SILENT = new Set(['title', 'desc', 'metadata', 'defs', 'style', 'symbol', 'sodipodi:namedview', '', 'marker']);
const GROUPS = new Set(['g', 'svg', 'a', 'switch']);

class DrawingReader {
  readonly items: Item[] = [];
  elements = 0;
  private repeats = 0;
  private images = 0;
  readonly named: NamedPicture[] = [];
  /** From the file's units to mm with y up. */
  readonly outer: Matrix;
  private readonly flatness: number;
  private readonly rules: ReturnType<typeof rulesOf>;
  private readonly byId = new Map<string, XmlNode>();
  private readonly dropped = new Map<string, Dropped>();

  constructor(root: XmlNode) {
    const box = (root.attributes.viewBox ?? '')
      .trim()
      .split(/[\s,]+/)
      .map(Number);
    const [x = 0, y = 0, w, h] = box.length === 4 && box.every(Number.isFinite) ? box : [];
    const width = attributeLength(root.attributes.width) ?? (w === undefined ? undefined : (w * 25.4) / 96);
    const height = attributeLength(root.attributes.height) ?? (h === undefined ? undefined : (h * 25.4) / 96);
    if (!width || !height || !(width < 1e6) || !(height < 1e6)) {
      throw new LegacyFileError(
        'this SVG drawing does not say its size; it needs a viewBox, or a width and a height on its first element',
      );
    }
    const scaleX = w ? width / w : 25.4 / 96;
    const scaleY = h ? height / h : 25.4 / 96;
    this.outer = [scaleX, 0, 0, -scaleY, -x * scaleX, height + y * scaleY];
    this.flatness = Math.max(width, height) * FLATNESS;
    const sheets: string[] = [];
    const visit = (node: XmlNode, depth: number): void => {
      if (++this.elements > MOST_ELEMENTS)
        throw new LegacyFileError(`this SVG has more than ${MOST_ELEMENTS} elements`);
      if (depth > MOST_DEPTH) throw new LegacyFileError(`this SVG is nested more than ${MOST_DEPTH} deep`);
      if (node.attributes.id) this.byId.set(node.attributes.id, node);
      if (node.name === 'style') sheets.push(node.children.map((child) => child.value).join(''));
      for (const child of node.children) visit(child, depth + 1);
    };
    visit(root, 0);
    this.rules = rulesOf(sheets);
  }

  droppedParts(): Dropped[] {
    return [...this.dropped.values()];
  }

  private drop(layer: string, why: string): void {
    const key = `${layer}\u0000${why}`;
    const known = this.dropped.get(key);
    if (known) known.entities++;
    else this.dropped.set(key, { layer, entities: 1, why });
  }

  children(node: XmlNode, matrix: Matrix, look: Look, place: Place): void {
    for (const child of node.children) if (child.type !== 'text') this.element(child, matrix, look, place);
  }

  private element(node: XmlNode, outer: Matrix, parent: Look, { layer, depth }: Place): void {
    if (SILENT.has(node.name)) return;
    if (depth > MOST_DEPTH) throw new LegacyFileError(`this SVG is nested more than ${MOST_DEPTH} deep`);
    if (this.items.length >= MOST_ITEMS) throw new LegacyFileError(`this SVG unfolds to over ${MOST_ITEMS} items`);
    const look = lookOf(node, parent, this.rules);
    const matrix = composed(outer, node.attributes.transform);
    if (GROUPS.has(node.name)) {
      const name = node.attributes['inkscape:label'] ?? node.attributes['data-name'] ?? node.attributes.id;
      this.children(node, matrix, look, { layer: name ?? layer, depth: depth + 1 });
      return;
    }
    if (!look.shown) return this.drop(layer, 'it is hidden');
    const data = pathOf(node);
    if (data !== undefined) return this.path(data, matrix, look, layer);
    if (node.name === 'text') return this.text(node, matrix, look, layer);
    if (node.name === 'use') {
      const href = node.attributes.href ?? node.attributes['xlink:href'] ?? '';
      const used = href.startsWith('#') ? this.byId.get(href.slice(1)) : undefined;
      if (!used) return this.drop(layer, 'it repeats a part that is not in the file');
      if (++this.repeats > MOST_REPEATS)
        throw new LegacyFileError(`this SVG repeats its parts more than ${MOST_REPEATS} times`);
      const [x, y] = [Number(node.attributes.x) || 0, Number(node.attributes.y) || 0];
      const [a, b, c, d] = matrix;
      const there: Matrix = [a, b, c, d, ...moved(matrix, x, y)];
      const place = { layer, depth: depth + 1 };
      if (used.name === 'symbol') this.children(used, there, lookOf(used, look, this.rules), place);
      else this.element(used, there, look, place);
      return;
    }
    if (node.name === 'image') return this.image(node, matrix, layer);
    this.drop(layer, `<${node.name}> is not a kind of linework that a title block is made of`);
  }

  private path(data: string, matrix: Matrix, look: Look, layer: string): void {
    const fill = isInk(look.fill) && look.opacity * look.fillOpacity > 0;
    const stroke = isInk(look.stroke) && look.opacity * look.strokeOpacity > 0;
    if (!fill && !stroke) return;
    const rings = flattened(data, matrix, this.flatness)?.filter(({ points }) => points.length >= 4);
    if (!rings) return this.drop(layer, 'a path that cannot be read');
    const base = { layer, part: 'block' } as const;
    const areas = rings.filter(({ points }) => points.length >= 6).map(({ points }) => points);
    const colour = SIX_DIGITS.test(look.fill) ? { colour: look.fill.toLowerCase() } : {};
    if (fill && areas.length > 0) this.items.push({ ...base, kind: 'fill', rings: areas, ...colour });
    if (!stroke) return;
    const stretch = stretchOf(matrix);
    const width = look.strokeWidth * stretch;
    const dashes = look.dashes.length > 0 ? { dashes: look.dashes.map((each) => each * stretch) } : {};
    const pen = { ...base, width, oldPen: { drawnWidth: width }, ...dashes };
    for (const { points, closed } of rings) this.items.push({ ...pen, kind: 'stroke', points, closed });
  }

  private image(node: XmlNode, matrix: Matrix, layer: string): void {
    if (++this.images > MOST_IMAGES) return this.drop(layer, `the drawing has over ${MOST_IMAGES} pictures`);
    const read = svgImage(node, matrix, layer, this.images);
    if (read.kind === 'inside') this.items.push(read.item);
    else if (read.kind === 'named') this.named.push(read.picture);
    else this.drop(layer, read.why);
  }

  /** Each line of a text by itself: a part that has a place of its own begins a new one. */
  private text(node: XmlNode, matrix: Matrix, look: Look, layer: string): void {
    const lines: { x: number; y: number; words: string; look: Look; spaces: boolean }[] = [];
    const visit = (part: XmlNode, own: Look, depth: number, outer = false): void => {
      if (depth > MOST_DEPTH) return;
      const space = part.attributes['xml:space'];
      const spaces = space === undefined ? outer : space === 'preserve';
      const number = (key: string): number | undefined => {
        const value = Number.parseFloat(part.attributes[key] ?? '');
        return Number.isFinite(value) ? value : undefined;
      };
      const [x, y, dy] = [number('x'), number('y'), number('dy')];
      const last = lines.at(-1);
      if (!last || x !== undefined || y !== undefined || dy) {
        const down = /em$/.test(part.attributes.dy ?? '') ? (dy ?? 0) * own.fontSize : (dy ?? 0);
        lines.push({ x: x ?? last?.x ?? 0, y: (y ?? last?.y ?? 0) + down, words: '', look: own, spaces });
      }
      for (const child of part.children) {
        const line = lines.at(-1);
        if (child.type === 'text' && line) line.words += child.value;
        else if (child.type !== 'text') visit(child, lookOf(child, own, this.rules), depth + 1, spaces);
      }
    };
    visit(node, look, 0);
    for (const { x, y, words, look: own, spaces } of lines) {
      // Spaces count one by one only where the file says so: "P R O J E C T   N O" is two words by them.
      const written = words.replace(spaces ? /\s/g : /\s+/g, ' ').trim();
      if (written === '') continue;
      const [a, b, c, d, e, f] = matrix;
      const height = CAPITALS * own.fontSize * Math.hypot(c, d);
      const width = written.length * height * LETTER;
      const turn = Math.atan2(b, a);
      const along = { left: 0, centre: -width / 2, right: -width }[own.anchor];
      this.items.push({
        kind: 'text',
        layer,
        part: 'block',
        text: written,
        at: { x: a * x + c * y + e + along * Math.cos(turn), y: b * x + d * y + f + along * Math.sin(turn) },
        height,
        width,
        widthFactor: 1,
        rotation: tidyAngle((turn * 180) / Math.PI),
        typeface: own.fontFamily,
        role: '',
        align: own.anchor,
      });
    }
  }
}

/** An angle from 0 to 360 without the dust of sine and cosine. */
const tidyAngle = (degrees: number): number => (((Math.round(degrees * 1e6) / 1e6) % 360) + 360) % 360;
