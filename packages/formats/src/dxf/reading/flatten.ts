import type { Item, LegacyDrawing, NamedPicture, OldPen, StrokeItem, TextItem } from '@mendrel/core';
import { greyOf } from './colours';
import type { DxfDocument, DxfEntity, DxfImage, DxfInsert, DxfLayer, DxfText } from './document';
import { MM_PER } from '@mendrel/core';
import { hatchStrokes } from './hatchLines';
import type { Matrix } from '../../geometry/matrix';
import { IDENTITY, moved, times } from '../../geometry/matrix';
import { planeOf } from './extrusion';
import { DxfError } from './tokens';

/** Blocks within blocks deeper than this are refused; no sound drawing comes near. */
const MOST_NESTING = 40;
/** More items than this are refused: a few blocks that place each other many times can ask for billions. */
const MOST_ITEMS = 500_000;
/** Pieces that an arc or a bulge is cut into, for each quarter turn. */
const PIECES_PER_QUARTER = 8;
/** The same for views: areas are measured from what they show. */
const FINE_PIECES = 64;

/** Steps taken in all, so that nests of empty blocks end too. */
const MOST_STEPS = 2_000_000;

interface Into {
  /** Layers by the names that entities call them by, in whatever letters. */
  called: Map<string, DxfLayer | undefined>;
  /** Each pen once: a drawing has a few, and many lines drawn with each. */
  pens: Map<string, OldPen>;
  items: Item[];
  steps: number;
  hidden: Map<string, number>;
  invisible: Map<string, number>;
  missing: Map<string, number>;
  named: NamedPicture[];
  askew: Map<string, number>;
  document: DxfDocument;
  for: Purpose;
}

/**
 * What linework is read for: intake takes any hatch for an area and dashes as long as they are drawn; a view shows the lines of
 * a hatch, and dashes as long on paper as their pattern has them, at every scale (common practice).
 */
export type Purpose = 'intake' | 'views';

/** A space of a DXF file that may hold a sheet: the model, or the page of a layout. */
export interface DxfSpace {
  /** "Model", or the layout's name. */
  name: string;
  drawing: LegacyDrawing;
}

const MODEL = 'Model';
/** Blocks that hold what stands on layouts; those of the layout that was open stand among the entities. */
const PAPER_BLOCK = /^\*PAPER_SPACE/;

/**
 * Takes blocks apart and turns every entity into linework in drawing units, each space of the file by itself.
 * @returns the model first; spaces with nothing in them are left out, unless all are empty
 * @throws DxfError when blocks contain each other in a circle, nest too deep or multiply without end
 */
export function spacesOf(document: DxfDocument, purpose: Purpose = 'intake'): DxfSpace[] {
  const openPage = document.layouts.get('*PAPER_SPACE') ?? 'Layout';
  const spaces = [
    { name: MODEL, entities: document.entities.filter((entity) => !entity.paperSpace) },
    { name: openPage, entities: document.entities.filter((entity) => entity.paperSpace) },
    ...[...document.blocks.entries()]
      .filter(([key, block]) => PAPER_BLOCK.test(key) && block.entities.length > 0)
      .map(([key, block]) => ({ name: document.layouts.get(key) ?? key.slice(1), entities: block.entities })),
  ];
  const full = spaces.filter((space) => space.entities.length > 0);
  return (full.length > 0 ? full : spaces.slice(0, 1)).map(({ name, entities }) => ({
    name,
    drawing: flattened(document, entities, purpose),
  }));
}

/** The model of a file, or what stands on its only page when the model is empty. */
export function flattenDxf(document: DxfDocument): LegacyDrawing {
  return spacesOf(document)[0]?.drawing ?? flattened(document, [], 'intake');
}

function flattened(document: DxfDocument, entities: readonly DxfEntity[], purpose: Purpose): LegacyDrawing {
  const into: Into = {
    called: new Map(),
    pens: new Map(),
    items: [],
    steps: 0,
    hidden: new Map(),
    invisible: new Map(),
    missing: new Map(),
    named: [],
    askew: new Map(),
    document,
    for: purpose,
  };
  for (const entity of entities) add(entity, IDENTITY, [], undefined, into);
  const counted = (counts: ReadonlyMap<string, number>, why: (kind: string) => string) =>
    [...counts].map(([key, count]) => {
      const [layer = '', kind = ''] = key.split('\u0000');
      return { layer, entities: count, why: why(kind) };
    });
  const dropped = [
    ...counted(into.hidden, () => 'the layer is off or frozen'),
    ...counted(into.invisible, () => 'it was made invisible'),
    ...counted(into.missing, (name) => `it places the block “${name}”, which is not in the file`),
    ...counted(into.askew, () => 'a picture that does not stand upright, or one too many'),
    ...counted(purpose === 'views' ? withoutWindows(document.unread) : document.unread, (kind) =>
      purpose === 'views'
        ? `${kind} is not a kind of linework that is read`
        : `${kind} is not a kind of linework that a title block is made of`,
    ),
  ];
  const emptyLayers = emptyLayersOf(document);
  const count = [...document.counts.values()].reduce((sum, each) => sum + each, 0);
  return {
    items: into.items,
    source: { format: 'DXF', version: document.version, entities: count },
    ...(document.insertUnits ? { insertUnits: document.insertUnits } : {}),
    ...(emptyLayers > 0 ? { emptyLayers } : {}),
    ...(into.named.length > 0 ? { named: into.named } : {}),
    dropped,
  };
}

/** What a layout shows of the model is a view of its own here; the window that it is seen through is nothing to be missed. */
const withoutWindows = (unread: ReadonlyMap<string, number>): ReadonlyMap<string, number> =>
  new Map([...unread].filter(([key]) => !key.endsWith('\u0000VIEWPORT')));

/** Layers that nothing in the file lies on; layer 0 is in every file. */
function emptyLayersOf(document: DxfDocument): number {
  const named = new Set<string>(['0', 'DEFPOINTS']);
  for (const entities of [document.entities, ...[...document.blocks.values()].map((block) => block.entities)]) {
    for (const entity of entities) {
      named.add(entity.layer);
      if (entity.type === 'INSERT') for (const each of entity.attributes) named.add(each.layer);
    }
  }
  const used = new Set([...named].map((name) => name.toUpperCase()));
  return [...document.layers.keys()].filter((key) => !used.has(key)).length;
}

function layerCalled(name: string, { called, document }: Into): DxfLayer | undefined {
  if (called.has(name)) return called.get(name);
  const layer = document.layers.get(name.toUpperCase());
  called.set(name, layer);
  return layer;
}

function penOf(weight: number | undefined, colour: number | undefined, { pens }: Into): OldPen {
  const key = `${weight} ${colour}`;
  const known = pens.get(key);
  if (known) return known;
  const pen = { ...(weight === undefined ? {} : { weight }), ...(colour === undefined ? {} : { colour }) };
  pens.set(key, pen);
  return pen;
}

const tally = (counts: Map<string, number>, key: string): void => void counts.set(key, (counts.get(key) ?? 0) + 1);

function add(entity: DxfEntity, outer: Matrix, path: readonly string[], owner: string | undefined, into: Into): void {
  if (++into.steps > MOST_STEPS) throw new DxfError(entity.line, 'the blocks unfold without end');
  if (into.items.length >= MOST_ITEMS) throw new DxfError(entity.line, `the blocks unfold to over ${MOST_ITEMS} items`);
  // Linework on layer 0 of a block takes the layer of the place where the block stands.
  const layer = entity.layer === '0' && owner !== undefined ? owner : entity.layer;
  const known = layerCalled(layer, into);
  if (entity.invisible) return tally(into.invisible, layer);
  if (known?.hidden && entity.type !== 'INSERT') return tally(into.hidden, layer);
  // A frozen layer takes the blocks on it along; one that is off does not.
  if (known?.frozen && entity.type === 'INSERT') return tally(into.hidden, layer);
  const matrix = entity.extrusion ? times(outer, planeOf(entity.extrusion)) : outer;
  const base = { layer, part: 'block' } as const;
  const weight = entity.lineWeight ?? known?.lineWeight;
  const colour = entity.colour ?? known?.colour;
  const forViews = into.for === 'views';
  const width = weight ?? (forViews ? 0 : 0.25);
  const oldPen = penOf(weight, colour, into);
  const pattern = into.document.lineTypes.get(entity.lineType ?? known?.lineType ?? '');
  const stretch =
    pattern && (forViews ? onPaperBy(pattern) : into.document.lineTypeScale * Math.hypot(matrix[0], matrix[1]));
  const line: Line = { layer, part: 'block', oldPen, width };
  if (pattern && stretch) line.dashes = pattern.map((each) => each * stretch);
  switch (entity.type) {
    case 'LINE': {
      // Lines stand in the world's own plane, whichever way they face.
      into.items.push(strokeOf(line, mapPoints(entity.points, outer), false));
      return;
    }
    case 'POLYLINE': {
      const points = mapPoints(
        unbulged(entity.points, entity.bulges, entity.closed, forViews ? FINE_PIECES : PIECES_PER_QUARTER),
        matrix,
      );
      if (points.length < 4) return;
      const drawnWidth = (entity.width ?? 0) * Math.hypot(matrix[0], matrix[1]);
      const pen = drawnWidth > 0 ? { ...oldPen, drawnWidth } : oldPen;
      into.items.push(strokeOf({ ...line, oldPen: pen }, points, entity.closed));
      return;
    }
    case 'CURVE': {
      const points = mapPoints(entity.points, matrix);
      if (points.length >= 4) into.items.push(strokeOf(line, points, false));
      return;
    }
    case 'ARC':
      addArc(entity, matrix, line, into);
      return;
    case 'FILL':
      if (entity.rings.length > 0) {
        const grey = colour === undefined ? undefined : greyOf(colour);
        const rings = entity.rings.map((ring) => mapPoints(ring, matrix));
        if (forViews && entity.pattern) {
          for (const points of hatchStrokes(rings, entity.pattern, matrix))
            into.items.push(strokeOf(line, points, false));
          return;
        }
        into.items.push({ ...base, kind: 'fill', rings, ...(grey ? { colour: grey } : {}) });
      }
      return;
    case 'IMAGE':
      addImage(entity, matrix, layer, into);
      return;
    case 'TEXT':
      // In a block a definition is a template for the values that the insert carries.
      if (entity.of !== 'ATTDEF' || path.length === 0) addText(entity, matrix, base, into);
      return;
    case 'INSERT':
      addInsert(entity, matrix, path, layer, into);
  }
}

/** Patterns of lines are defined in millimetres or in inches of paper; no pattern of the former repeats within 3 mm (from memory). */
const onPaperBy = (pattern: readonly number[]): number => (pattern.reduce((a, b) => a + b, 0) < 3 ? MM_PER.in : 1);

function mapPoints(points: readonly number[], matrix: Matrix): number[] {
  if (matrix === IDENTITY) return [...points];
  const mapped = new Array<number>(points.length);
  for (let i = 0; i + 1 < points.length; i += 2) {
    const [x, y] = moved(matrix, points[i] ?? 0, points[i + 1] ?? 0);
    mapped[i] = x;
    mapped[i + 1] = y;
  }
  return mapped;
}

/** Replaces the arcs of a polyline by straight pieces. A bulge is the tangent of a quarter of the arc's angle. */
function unbulged(
  points: readonly number[],
  bulges: readonly number[] | undefined,
  closed: boolean,
  piecesPerQuarter: number,
): readonly number[] {
  if (!bulges) return points;
  const out: number[] = [];
  const count = points.length / 2;
  for (let i = 0; i < count; i++) {
    const [x0, y0] = [points[2 * i] ?? 0, points[2 * i + 1] ?? 0];
    out.push(x0, y0);
    const bulge = bulges[i] ?? 0;
    if (bulge === 0 || (i === count - 1 && !closed)) continue;
    const j = (i + 1) % count;
    const [dx, dy] = [(points[2 * j] ?? 0) - x0, (points[2 * j + 1] ?? 0) - y0];
    const angle = 4 * Math.atan(bulge);
    const reach = (1 / bulge - bulge) / 4;
    const [cx, cy] = [x0 + dx / 2 - dy * reach, y0 + dy / 2 + dx * reach];
    const pieces = Math.max(2, Math.ceil((Math.abs(angle) / (Math.PI / 2)) * piecesPerQuarter));
    for (let p = 1; p < pieces; p++) {
      const turn = (angle * p) / pieces;
      const [c, s] = [Math.cos(turn), Math.sin(turn)];
      out.push(cx + (x0 - cx) * c - (y0 - cy) * s, cy + (x0 - cx) * s + (y0 - cy) * c);
    }
  }
  return out;
}

type Base = { layer: string; part: 'block' };
type Line = Base & { oldPen: OldPen; width: number; dashes?: number[] };

/** Written out: of a plan there are hundreds of thousands, and objects that are put together of others take five times as long. */
function strokeOf({ layer, part, oldPen, width, dashes }: Line, points: number[], closed: boolean): StrokeItem {
  return dashes === undefined
    ? { kind: 'stroke', layer, part, points, closed, width, oldPen }
    : { kind: 'stroke', layer, part, points, closed, width, oldPen, dashes };
}

function addArc(entity: Extract<DxfEntity, { type: 'ARC' }>, matrix: Matrix, line: Line, into: Into): void {
  const { x, y, radius, from } = entity;
  if (radius <= 0) return;
  const sweep = (((entity.to - from) % 360) + 360) % 360 || 360;
  const scale = Math.hypot(matrix[0], matrix[1]);
  const even =
    Math.abs(Math.hypot(matrix[2], matrix[3]) - scale) < 1e-9 * scale &&
    matrix[0] * matrix[3] - matrix[1] * matrix[2] > 0;
  if (even) {
    const [cx, cy] = moved(matrix, x, y);
    const turn = (Math.atan2(matrix[1], matrix[0]) * 180) / Math.PI;
    const start = sweep === 360 ? 0 : from + turn;
    into.items.push({
      ...line,
      kind: 'arc',
      centre: { x: cx, y: cy },
      radius: radius * scale,
      from: start,
      to: start + sweep,
    });
    return;
  }
  const pieces = Math.ceil((sweep / 90) * (into.for === 'views' ? FINE_PIECES : PIECES_PER_QUARTER));
  const points: number[] = [];
  for (let p = 0; p <= pieces; p++) {
    const angle = ((from + (sweep * p) / pieces) * Math.PI) / 180;
    points.push(...moved(matrix, x + radius * Math.cos(angle), y + radius * Math.sin(angle)));
  }
  into.items.push({ ...line, kind: 'stroke', points, closed: sweep === 360 });
}

/** Pictures of one drawing that are named. */
const MOST_PICTURES = 500;
/** How far the edges of a picture may be off level and upright, as a part of its size. */
const ASKEW = 0.01;

function addImage({ corner, right, up, size, definition }: DxfImage, matrix: Matrix, layer: string, into: Into): void {
  const [cols, rows] = size;
  const at = (across: number, high: number): [number, number] =>
    moved(
      matrix,
      corner[0] + across * cols * right[0] + high * rows * up[0],
      corner[1] + across * cols * right[1] + high * rows * up[1],
    );
  const [[x, y], [rx, ry], [ux, uy]] = [at(0, 0), at(1, 0), at(0, 1)];
  const upright = rx > x && uy > y && Math.abs(ry - y) <= ASKEW * (rx - x) && Math.abs(ux - x) <= ASKEW * (uy - y);
  if (!upright || into.named.length >= MOST_PICTURES) return tally(into.askew, layer);
  const path = into.document.imageFiles.get(definition) ?? '';
  const name = path.split(/[/\\]/).at(-1) ?? '';
  into.named.push({
    name: name.slice(0, 200) || `picture ${into.named.length + 1}`,
    layer,
    x,
    y,
    width: rx - x,
    height: uy - y,
  });
}

/** Width of an average letter as a multiple of the height, for placing texts that are not aligned at their start. */
const LETTER_WIDTH = 0.62;

/** From line to line, as a multiple of the height; common practice. */
const LINE_SPACING = 1.6;

const MIRRORED = { left: 'right', centre: 'centre', right: 'left' } as const;

function addText(entity: DxfText, matrix: Matrix, base: Base, into: Into): void {
  if (entity.hidden || !(entity.height > 0)) return;
  const own = (entity.rotation * Math.PI) / 180;
  const [ux, uy] = [-Math.sin(own), Math.cos(own)];
  const [upX, upY] = [matrix[0] * ux + matrix[2] * uy, matrix[1] * ux + matrix[3] * uy];
  const stretch = Math.hypot(upX, upY);
  // Mirrored lettering is read as lettering all the same: it keeps its upright and runs the other way.
  const mirrored = matrix[0] * matrix[3] - matrix[1] * matrix[2] < 0;
  const horizontal = mirrored ? MIRRORED[entity.horizontal] : entity.horizontal;
  const rotation = (Math.atan2(upY, upX) * 180) / Math.PI - 90;
  const shown = entity.text.split('\n');
  const [x, y] = moved(matrix, entity.x, entity.y);
  const turn = (rotation * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const heights = shown.map((_, i) => (entity.lineHeights?.[i] ?? entity.height) * stretch);
  /** How far down from the top the base of each line is. */
  const down: number[] = [];
  for (const each of heights) down.push(down.length === 0 ? each : (down.at(-1) ?? 0) + LINE_SPACING * each);
  const block = down.at(-1) ?? 0;
  const top = { base: heights[0] ?? 0, bottom: block, middle: block / 2, top: 0 }[entity.vertical];
  shown.forEach((line, i) => {
    if (line.trim() === '' && entity.of !== 'ATTRIB') return;
    const height = heights[i] ?? 0;
    const width = line.length * LETTER_WIDTH * height * entity.widthFactor;
    const along = { left: 0, centre: -width / 2, right: -width }[horizontal];
    const up = top - (down[i] ?? 0);
    const item: TextItem = {
      ...base,
      kind: 'text',
      text: line.trim(),
      at: { x: x + along * c - up * s, y: y + along * s + up * c },
      height,
      width,
      widthFactor: entity.widthFactor,
      rotation: (((Math.round(rotation * 1000) / 1000) % 360) + 360) % 360,
      typeface: '',
      role: '',
      align: horizontal,
    };
    if (entity.tag !== undefined) item.field = { tag: entity.tag, prompt: entity.prompt ?? '', parameter: '' };
    into.items.push(item);
  });
}

function addInsert(entity: DxfInsert, matrix: Matrix, path: readonly string[], layer: string, into: Into): void {
  const block = into.document.blocks.get(entity.block.toUpperCase());
  if (block) {
    if (path.includes(block.name)) {
      throw new DxfError(entity.line, `blocks contain each other: ${[...path, block.name].slice(-4).join(' → ')}`);
    }
    if (path.length >= MOST_NESTING) {
      throw new DxfError(entity.line, `blocks are nested more than ${MOST_NESTING} deep, at "${block.name}"`);
    }
    const turn = (entity.rotation * Math.PI) / 180;
    const [c, s] = [Math.cos(turn), Math.sin(turn)];
    const own: Matrix = [
      c * entity.scaleX,
      s * entity.scaleX,
      -s * entity.scaleY,
      c * entity.scaleY,
      entity.x,
      entity.y,
    ];
    if (entity.columns * entity.rows > MOST_ITEMS) throw new DxfError(entity.line, 'a block is repeated without end');
    const inside = [...path, block.name];
    for (let column = 0; column < entity.columns; column++) {
      for (let row = 0; row < entity.rows; row++) {
        if (++into.steps > MOST_STEPS) throw new DxfError(entity.line, 'the blocks unfold without end');
        const shift: Matrix = [
          1,
          0,
          0,
          1,
          column * entity.columnSpacing - block.base[0],
          row * entity.rowSpacing - block.base[1],
        ];
        const whole = times(times(matrix, own), shift);
        for (const each of block.entities) add(each, whole, inside, layer, into);
      }
    }
  } else tally(into.missing, `${layer}\u0000${entity.block}`);
  // Attributes carry their own place in the space that the insert stands in.
  for (const attribute of entity.attributes) add(attribute, matrix, path, layer, into);
}
