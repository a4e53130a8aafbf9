import type { DxfEntity, DxfInsert, DxfText } from './document';
import { ellipsePoints, splinePoints } from './curves';
import type { DxfTokens } from './tokens';
import { DxfError } from './tokens';
import { plainMtext } from './mtext';

/** Group codes that several kinds of entities share. */
const LAYER = 8;
const PAPER_SPACE = 67;
const LINE_WEIGHT = 370;
const COLOUR = 62;
const LINE_TYPE = 6;
const INVISIBLE = 60;
/** What follows belongs to an object inside of the entity, with group codes of its own. */
const EMBEDDED = 101;
const MOST_POINTS = 1_000_000;

interface Base {
  layer: string;
  line: number;
  paperSpace: boolean;
  lineWeight?: number;
  colour?: number;
  lineType?: string;
  extrusion?: [number, number, number];
  invisible?: boolean;
}

const newBase = (tokens: DxfTokens): Base => ({ layer: '0', line: tokens.line, paperSpace: false });

/**
 * Reads the pairs of one entity up to the next code 0; `own` takes the pairs that the kind itself knows.
 * @param base takes what all kinds share; the entity itself where there are so many that a copy of each would tell
 */
function pairs<T extends Base>(tokens: DxfTokens, own: (code: number, base: Base) => void, base: T): T;
function pairs(tokens: DxfTokens, own: (code: number, base: Base) => void): Base;
function pairs(tokens: DxfTokens, own: (code: number, base: Base) => void, base = newBase(tokens)): Base {
  let embedded = false;
  while (tokens.next()) {
    const { code } = tokens;
    if (code === 0) {
      tokens.hold();
      const { extrusion } = base;
      if (extrusion && extrusion[0] === 0 && extrusion[1] === 0 && extrusion[2] > 0) delete base.extrusion;
      return base;
    }
    if (embedded) continue;
    if (code === EMBEDDED) embedded = true;
    else if (code === LAYER) base.layer = tokens.name();
    else if (code === PAPER_SPACE) base.paperSpace = tokens.number() === 1;
    else if (code === LINE_WEIGHT) {
      const hundredths = tokens.number();
      if (hundredths >= 0) base.lineWeight = hundredths / 100;
    } else if (code === COLOUR) {
      const colour = tokens.number();
      if (colour > 0 && colour < 256) base.colour = colour;
    } else if (code === LINE_TYPE) {
      const name = tokens.name().toUpperCase();
      if (name !== 'BYLAYER' && name !== 'BYBLOCK') base.lineType = name;
    } else if (code === INVISIBLE) {
      if (tokens.number() === 1) base.invisible = true;
    } else if (code === 210 || code === 220 || code === 230) {
      base.extrusion ??= [0, 0, 0];
      base.extrusion[(code - 210) / 10] = tokens.number();
    } else own(code, base);
  }
  throw new DxfError(tokens.line, 'the file is cut off in the middle of an entity');
}

function line(tokens: DxfTokens): DxfEntity {
  const points: [number, number, number, number] = [0, 0, 0, 0];
  const own = (code: number): void => {
    if (code === 10) points[0] = tokens.number();
    else if (code === 20) points[1] = tokens.number();
    else if (code === 11) points[2] = tokens.number();
    else if (code === 21) points[3] = tokens.number();
  };
  return pairs(tokens, own, { type: 'LINE' as const, points, layer: '0', line: tokens.line, paperSpace: false });
}

function addPoint(points: number[], x: number, tokens: DxfTokens): void {
  if (points.length > 2 * MOST_POINTS) throw new DxfError(tokens.line, `a polyline has over ${MOST_POINTS} points`);
  points.push(x, 0);
}

function lightPolyline(tokens: DxfTokens): DxfEntity {
  const points: number[] = [];
  // Hardly any polyline has arcs in it, so nothing is kept of them until one comes.
  let bulges: number[] | undefined;
  const read: Extract<DxfEntity, { type: 'POLYLINE' }> = {
    type: 'POLYLINE',
    points,
    closed: false,
    layer: '0',
    line: tokens.line,
    paperSpace: false,
  };
  const own = (code: number): void => {
    if (code === 10) addPoint(points, tokens.number(), tokens);
    else if (code === 20) points[points.length - 1] = tokens.number();
    else if (code === 42) {
      const bulge = tokens.number();
      if (bulge === 0 || points.length === 0) return;
      bulges ??= [];
      while (bulges.length < points.length / 2) bulges.push(0);
      bulges[points.length / 2 - 1] = bulge;
    } else if (code === 43) {
      const width = tokens.number();
      if (width > 0) read.width = width;
    } else if (code === 70) read.closed = (tokens.number() & 1) === 1;
  };
  pairs(tokens, own, read);
  if (bulges) {
    while (bulges.length < points.length / 2) bulges.push(0);
    read.bulges = bulges;
  }
  return read;
}

const CONTROL_VERTEX = 16;

/** A POLYLINE with its VERTEX entities and SEQEND. */
function heavyPolyline(tokens: DxfTokens): DxfEntity {
  let flags = 0;
  let width = 0;
  const base = pairs(tokens, (code) => {
    if (code === 70) flags = tokens.number();
    else if (code === 40) width = tokens.number();
  });
  const points: number[] = [];
  const bulges: number[] = [];
  while (tokens.next()) {
    if (tokens.is('SEQEND')) {
      pairs(tokens, () => undefined);
      break;
    }
    if (!tokens.is('VERTEX')) {
      tokens.hold();
      break;
    }
    addPoint(points, 0, tokens);
    bulges.push(0);
    let vertex = 0;
    pairs(tokens, (code) => {
      if (code === 70) vertex = tokens.number();
      else if (code === 10) points[points.length - 2] = tokens.number();
      else if (code === 20) points[points.length - 1] = tokens.number();
      else if (code === 42) bulges[bulges.length - 1] = tokens.number();
    });
    // Of a polyline that was smoothed, the points that pulled at it are kept beside those it goes through.
    if ((vertex & CONTROL_VERTEX) !== 0) {
      points.length -= 2;
      bulges.length--;
    }
  }
  return {
    type: 'POLYLINE',
    points,
    closed: (flags & 1) === 1,
    ...base,
    ...(width > 0 ? { width } : {}),
    ...(bulges.some((bulge) => bulge !== 0) ? { bulges } : {}),
  };
}

function arc(tokens: DxfTokens): DxfEntity {
  const at = { x: 0, y: 0, radius: 0, from: 0, to: 360 };
  const base = pairs(tokens, (code) => {
    if (code === 10) at.x = tokens.number();
    else if (code === 20) at.y = tokens.number();
    else if (code === 40) at.radius = tokens.number();
    else if (code === 50) at.from = tokens.number();
    else if (code === 51) at.to = tokens.number();
  });
  return { type: 'ARC', ...at, ...base };
}

/** ELLIPSE: its major axis by its end, as parts of the whole by parameters. It stands in the world's own plane. */
function ellipse(tokens: DxfTokens): DxfEntity {
  const at = { x: 0, y: 0, majorX: 1, majorY: 0, ratio: 1, from: 0, to: 2 * Math.PI };
  const base = pairs(tokens, (code) => {
    if (code === 10) at.x = tokens.number();
    else if (code === 20) at.y = tokens.number();
    else if (code === 11) at.majorX = tokens.number();
    else if (code === 21) at.majorY = tokens.number();
    else if (code === 40) at.ratio = tokens.number();
    else if (code === 41) at.from = tokens.number();
    else if (code === 42) at.to = tokens.number();
  });
  // Seen from below, the minor axis lies on the other side.
  if ((base.extrusion?.[2] ?? 1) < 0) at.ratio = -at.ratio;
  delete base.extrusion;
  return { type: 'CURVE', points: ellipsePoints(at), ...base };
}

function spline(tokens: DxfTokens): DxfEntity {
  const [knots, controls, weights, through]: [number[], number[], number[], number[]] = [[], [], [], []];
  let degree = 3;
  const base = pairs(tokens, (code) => {
    if (code === 10) addPoint(controls, tokens.number(), tokens);
    else if (code === 20 && controls.length > 0) controls[controls.length - 1] = tokens.number();
    else if (code === 11) addPoint(through, tokens.number(), tokens);
    else if (code === 21 && through.length > 0) through[through.length - 1] = tokens.number();
    else if (code === 40 && knots.length < MOST_POINTS) knots.push(tokens.number());
    else if (code === 41 && weights.length < MOST_POINTS) weights.push(tokens.number());
    else if (code === 71) degree = tokens.number();
  });
  delete base.extrusion;
  return { type: 'CURVE', points: splinePoints({ degree, knots, controls, weights, through }), ...base };
}

/** 3DFACE: its outline, seen from above; edges marked as hidden are drawn all the same. */
function face(tokens: DxfTokens): DxfEntity {
  const corners = new Array<number>(8).fill(0);
  const base = pairs(tokens, (code) => {
    if (code >= 10 && code <= 13) corners[(code - 10) * 2] = tokens.number();
    else if (code >= 20 && code <= 23) corners[(code - 20) * 2 + 1] = tokens.number();
  });
  delete base.extrusion;
  return { type: 'POLYLINE', points: corners, closed: true, ...base };
}

/** SOLID and TRACE: four corners, the last two crossed over. */
function solid(tokens: DxfTokens): DxfEntity {
  const corners = new Array<number>(8).fill(0);
  const base = pairs(tokens, (code) => {
    if (code >= 10 && code <= 13) corners[(code - 10) * 2] = tokens.number();
    else if (code >= 20 && code <= 23) corners[(code - 20) * 2 + 1] = tokens.number();
  });
  const [x0 = 0, y0 = 0, x1 = 0, y1 = 0, x2 = 0, y2 = 0, x3 = 0, y3 = 0] = corners;
  return { type: 'FILL', rings: [[x0, y0, x1, y1, x3, y3, x2, y2]], ...base };
}

/** HATCH: its boundaries, of polylines with their bulges or of edges that are lines, arcs, ellipses and splines. */
function hatch(tokens: DxfTokens): DxfEntity {
  const rings: number[][] = [];
  let ring: number[] | undefined;
  let boundaries = false;
  let polyline = false;
  let edge: { kind: number; values: Map<number, number[]> } | undefined;
  const closeEdge = (): void => {
    if (edge && ring) ring.push(...edgePoints(edge.kind, edge.values));
    edge = undefined;
  };
  const base = pairs(tokens, (code) => {
    if (code === 91) boundaries = true;
    else if (code === 92) {
      closeEdge();
      polyline = (tokens.number() & 2) === 2;
      ring = [];
      rings.push(ring);
    } else if (code === 98 || code === 75) {
      closeEdge();
      boundaries = false;
    } else if (!boundaries || !ring) return;
    else if (polyline) {
      if (code === 10) addPoint(ring, tokens.number(), tokens);
      else if (code === 20 && ring.length > 0) ring[ring.length - 1] = tokens.number();
    } else if (code === 72) {
      closeEdge();
      edge = { kind: tokens.number(), values: new Map() };
    } else if (edge && code !== 97 && code !== 330) {
      const known = edge.values.get(code) ?? [];
      if (known.length < MOST_POINTS) known.push(tokens.number());
      edge.values.set(code, known);
    }
  });
  return { type: 'FILL', rings: rings.filter((each) => each.length >= 6), ...base };
}

/** Points along one edge of a hatch: 1 line, 2 arc, 3 ellipse, 4 spline. Angles are in degrees. */
function edgePoints(kind: number, values: ReadonlyMap<number, readonly number[]>): number[] {
  const value = (code: number): number => values.get(code)?.[0] ?? 0;
  const radians = (code: number): number => (value(code) * Math.PI) / 180;
  if (kind === 1) return [value(10), value(20), value(11), value(21)];
  if (kind === 2 || kind === 3) {
    const left = value(73) !== 0;
    // Clockwise ones are stored with their angles turned over.
    const [from, to] = left ? [radians(50), radians(51)] : [-radians(51), -radians(50)];
    const major = kind === 2 ? { majorX: value(40), majorY: 0 } : { majorX: value(11), majorY: value(21) };
    const points = ellipsePoints({ x: value(10), y: value(20), ...major, ratio: kind === 2 ? 1 : value(40), from, to });
    if (left) return points;
    const back: number[] = [];
    for (let i = points.length - 2; i >= 0; i -= 2) back.push(points[i] ?? 0, points[i + 1] ?? 0);
    return back;
  }
  if (kind !== 4) return [];
  const list = (code: number): readonly number[] => values.get(code) ?? [];
  const pairsOf = (x: number, y: number): number[] => list(x).flatMap((each, i) => [each, list(y)[i] ?? 0]);
  return splinePoints({
    degree: value(94),
    knots: list(40),
    controls: pairsOf(10, 20),
    weights: list(42),
    through: pairsOf(11, 21),
  });
}

const HORIZONTAL = ['left', 'centre', 'right', 'left', 'centre', 'left'] as const;
const VERTICAL = ['base', 'bottom', 'middle', 'top'] as const;

/**
 * %%d, %%p, %%c and %%nnn are the degree, plus-minus and diameter signs and characters by number, %%u and %%o lines;
 * \\U+nnnn is a character by its Unicode number.
 */
export function plainText(text: string): string {
  if (!text.includes('%') && !text.includes('\\')) return text;
  const decoded = text.replace(/\\U\+([0-9A-Fa-f]{4})/g, (_, code: string) => String.fromCharCode(parseInt(code, 16)));
  return decoded.replace(/%%(\d{3}|.)/g, (whole, sign: string) => {
    if (/^\d{3}$/.test(sign)) return String.fromCharCode(Number(sign));
    const known: Record<string, string> = { d: '°', p: '±', c: '⌀', u: '', o: '', k: '', '%': '%' };
    return known[sign.toLowerCase()] ?? whole;
  });
}

function text(of: 'TEXT' | 'ATTRIB' | 'ATTDEF') {
  return (tokens: DxfTokens): DxfText => {
    const at = { x: 0, y: 0, alignX: 0, alignY: 0, aligned: false };
    const verticalCode = of === 'TEXT' ? 73 : 74;
    let [horizontal, vertical, flags] = [0, 0, 0];
    const read = { text: '', height: 0, rotation: 0, widthFactor: 1 };
    let tag: string | undefined;
    let prompt: string | undefined;
    const base = pairs(tokens, (code) => {
      if (code === 1) read.text = plainText(tokens.text());
      else if (code === 10) at.x = tokens.number();
      else if (code === 20) at.y = tokens.number();
      else if (code === 11) {
        at.alignX = tokens.number();
        at.aligned = true;
      } else if (code === 21) at.alignY = tokens.number();
      else if (code === 40) read.height = tokens.number();
      else if (code === 41) read.widthFactor = tokens.number();
      else if (code === 50) read.rotation = tokens.number();
      else if (code === 72) horizontal = tokens.number();
      else if (code === verticalCode) vertical = tokens.number();
      else if (code === 70 && of !== 'TEXT') flags = tokens.number();
      else if (code === 2 && of !== 'TEXT') tag = tokens.text().trim();
      else if (code === 3 && of === 'ATTDEF') prompt = tokens.text().trim();
    });
    // The first point is the start of the base line in every file; the second counts only for other alignments.
    const second = at.aligned && (horizontal !== 0 || vertical !== 0) && horizontal !== 3 && horizontal !== 5;
    // Aligned and fitted texts run from the first point to the second.
    const spans = at.aligned && (horizontal === 3 || horizontal === 5);
    if (spans) read.rotation = (Math.atan2(at.alignY - at.y, at.alignX - at.x) * 180) / Math.PI;
    const entity: DxfText = {
      type: 'TEXT',
      of,
      text: read.text,
      height: read.height,
      rotation: read.rotation,
      widthFactor: read.widthFactor,
      x: second ? at.alignX : at.x,
      y: second ? at.alignY : at.y,
      horizontal: HORIZONTAL[horizontal] ?? 'left',
      // Horizontal 4 is "middle": centred both ways.
      vertical: horizontal === 4 ? 'middle' : (VERTICAL[vertical] ?? 'base'),
      ...base,
    };
    if (tag !== undefined) entity.tag = tag;
    if (prompt !== undefined) entity.prompt = prompt;
    if ((flags & 1) === 1) entity.hidden = true;
    return entity;
  };
}

function mtext(tokens: DxfTokens): DxfText {
  const at = { x: 0, y: 0, height: 0, rotation: 0, attachment: 1, dirX: 0, dirY: 0 };
  let words = '';
  const base = pairs(tokens, (code) => {
    if (code === 1 || code === 3) words += tokens.text();
    else if (code === 10) at.x = tokens.number();
    else if (code === 20) at.y = tokens.number();
    else if (code === 40) at.height = tokens.number();
    else if (code === 50) at.rotation = tokens.number();
    else if (code === 11) at.dirX = tokens.number();
    else if (code === 21) at.dirY = tokens.number();
    else if (code === 71) at.attachment = tokens.number();
  });
  const turned = at.dirX !== 0 || at.dirY !== 0;
  return {
    type: 'TEXT',
    of: 'MTEXT',
    text: plainMtext(words),
    x: at.x,
    y: at.y,
    height: at.height,
    rotation: turned ? (Math.atan2(at.dirY, at.dirX) * 180) / Math.PI : at.rotation,
    widthFactor: 1,
    horizontal: (['left', 'centre', 'right'] as const)[(at.attachment - 1) % 3] ?? 'left',
    vertical: at.attachment <= 3 ? 'top' : at.attachment <= 6 ? 'middle' : 'bottom',
    ...base,
  };
}

const attribute = text('ATTRIB');

function insert(tokens: DxfTokens): DxfInsert {
  let block = '';
  let follow = false;
  const at = { x: 0, y: 0, scaleX: 1, scaleY: 1, rotation: 0, columns: 1, rows: 1, columnSpacing: 0, rowSpacing: 0 };
  const base = pairs(tokens, (code) => {
    if (code === 2) block = tokens.text().trim();
    else if (code === 10) at.x = tokens.number();
    else if (code === 20) at.y = tokens.number();
    else if (code === 41) at.scaleX = tokens.number();
    else if (code === 42) at.scaleY = tokens.number();
    else if (code === 50) at.rotation = tokens.number();
    else if (code === 66) follow = tokens.number() === 1;
    else if (code === 70) at.columns = Math.max(1, tokens.number());
    else if (code === 71) at.rows = Math.max(1, tokens.number());
    else if (code === 44) at.columnSpacing = tokens.number();
    else if (code === 45) at.rowSpacing = tokens.number();
  });
  const attributes: DxfText[] = [];
  while (follow && tokens.next()) {
    if (tokens.is('ATTRIB')) attributes.push(attribute(tokens));
    else if (tokens.is('SEQEND')) {
      pairs(tokens, () => undefined);
      break;
    } else {
      tokens.hold();
      break;
    }
  }
  return { type: 'INSERT', block, ...at, attributes, ...base };
}

/** The kinds of entities that are read, each with its reader; the reader starts after the pair that names the kind. */
export const ENTITY_READERS: Readonly<Record<string, (tokens: DxfTokens) => DxfEntity>> = {
  LINE: line,
  LWPOLYLINE: lightPolyline,
  POLYLINE: heavyPolyline,
  ARC: arc,
  ELLIPSE: ellipse,
  SPLINE: spline,
  '3DFACE': face,
  CIRCLE: arc,
  SOLID: solid,
  TRACE: solid,
  HATCH: hatch,
  TEXT: text('TEXT'),
  ATTDEF: text('ATTDEF'),
  MTEXT: mtext,
  INSERT: insert,
  DIMENSION: dimension,
};

/** DIMENSION: what it looks like stands in a block of its own, in the place where it belongs. */
function dimension(tokens: DxfTokens): DxfInsert {
  let block = '';
  const base = pairs(tokens, (code) => {
    if (code === 2) block = tokens.text().trim();
  });
  delete base.extrusion;
  const at = { x: 0, y: 0, scaleX: 1, scaleY: 1, rotation: 0, columns: 1, rows: 1, columnSpacing: 0, rowSpacing: 0 };
  return { type: 'INSERT', block, ...at, attributes: [], ...base };
}

/** Passes over an entity of a kind that is not read. @returns its layer */
export function passOver(tokens: DxfTokens): string {
  return pairs(tokens, () => undefined).layer;
}
