import type { Dropped, Item, Rect } from '@mendrel/core';
import { bezier } from '../../geometry/bezier';
import { dashesOf, MOST_DASHES } from '../../geometry/dashes';
import type { Matrix } from '../../geometry/matrix';
import { moved, stretchOf, times } from '../../geometry/matrix';

/** One instruction of a page, by the name that the PDF standard's operators are known by, with what it was given. */
export interface PageOperator {
  name: string;
  args: readonly unknown[];
}

export interface PageLinework {
  items: Item[];
  dropped: Dropped[];
  /** Pictures on the page, which have no lines. */
  pictures: number;
  /** Those that stand upright, by the name of what holds their dots, with their places. */
  images: PageImage[];
}

/** A picture of a page and where it stands, in mm. */
export interface PageImage extends Rect {
  id: string;
  layer: string;
}

/** A group of the page's optional content: its name, and whether it is shown. */
export interface ContentGroup {
  name: string;
  shown: boolean;
}

const MOST_ITEMS = 500_000;
const MOST_DEPTH = 100;
/** Largest distance of a straight piece from its curve, in mm. */
const FLATNESS = 0.02;

interface State {
  matrix: Matrix;
  lineWidth: number;
  /** Dash, gap … in the page's units. */
  dashes: readonly number[];
  fill: string;
  stroke: string;
}

/** The code of each step of a path: to a place, a line, a cubic and a quadratic curve, and back to the start. */
const STEP = { move: 0, line: 1, cubic: 2, quadratic: 3, close: 4 } as const;

const STROKES = new Set([
  'stroke',
  'closeStroke',
  'fillStroke',
  'eoFillStroke',
  'closeFillStroke',
  'closeEOFillStroke',
]);
const FILLS = new Set(['fill', 'eoFill', 'fillStroke', 'eoFillStroke', 'closeFillStroke', 'closeEOFillStroke']);
const CLOSES = new Set(['closeStroke', 'closeFillStroke', 'closeEOFillStroke']);
const PICTURES = /^paint(Image|InlineImage|SolidColorImage)/;

const isMatrix = (value: unknown): value is Matrix =>
  Array.isArray(value) && value.length === 6 && value.every((each) => typeof each === 'number');

/**
 * The lines and areas that a page's instructions draw.
 * @param toPaper from the page's units to mm with y up
 * @param names the painting instruction that a code of a path stands for
 */
export function lineworkOf(
  operators: readonly PageOperator[],
  toPaper: Matrix,
  groups: ReadonlyMap<string, ContentGroup>,
  names: ReadonlyMap<number, string>,
): PageLinework {
  const items: Item[] = [];
  const dropped = new Map<string, Dropped>();
  const drop = (layer: string, why: string): void => {
    const known = dropped.get(`${layer}\u0000${why}`);
    if (known) known.entities++;
    else dropped.set(`${layer}\u0000${why}`, { layer, entities: 1, why });
  };
  let state: State = { matrix: toPaper, lineWidth: 1, dashes: [], fill: '#000000', stroke: '#000000' };
  const saved: State[] = [];
  const marked: (ContentGroup | undefined)[] = [];
  let pictures = 0;
  const images: PageImage[] = [];
  const push = (): void => {
    if (saved.length < MOST_DEPTH * 10) saved.push(state);
    state = { ...state };
  };
  const layerOf = (): ContentGroup => marked.findLast((each) => each !== undefined) ?? { name: '0', shown: true };

  const paint = (how: string, data: ArrayLike<number>): void => {
    const { name: layer } = layerOf();
    if (marked.some((each) => each?.shown === false)) return drop(layer, 'the layer is off');
    if (items.length >= MOST_ITEMS) return drop(layer, `the page has over ${MOST_ITEMS} lines and areas`);
    const rings = ringsOf(data, state.matrix, CLOSES.has(how));
    const base = { layer, part: 'block' } as const;
    if (FILLS.has(how)) {
      const areas = rings.filter(({ points }) => points.length >= 6).map(({ points }) => points);
      if (isWhite(state.fill)) drop(layer, 'a white area');
      else if (areas.length > 0) items.push({ ...base, kind: 'fill', rings: areas, colour: state.fill });
    }
    if (STROKES.has(how) && !isWhite(state.stroke)) {
      const stretch = stretchOf(state.matrix);
      const width = state.lineWidth * stretch;
      const dashes = state.dashes.length > 0 ? { dashes: state.dashes.map((each) => each * stretch) } : {};
      const pen = { ...base, width, oldPen: { drawnWidth: width }, ...dashes };
      for (const { points, closed } of rings) items.push({ ...pen, kind: 'stroke', points, closed });
    }
  };

  for (const { name, args } of operators) {
    switch (name) {
      case 'save':
        push();
        break;
      case 'restore':
      case 'paintFormXObjectEnd':
      case 'endAnnotation':
        state = saved.pop() ?? state;
        break;
      case 'paintFormXObjectBegin':
        push();
        if (isMatrix(args[0])) state.matrix = times(state.matrix, args[0]);
        break;
      case 'beginAnnotation':
        push();
        for (const each of args) if (isMatrix(each)) state.matrix = times(state.matrix, each);
        break;
      case 'transform':
        if (isMatrix(args)) state.matrix = times(state.matrix, args);
        break;
      case 'setLineWidth':
        state.lineWidth = Number(args[0]) || 0;
        break;
      case 'setDash':
        state.dashes = dashesOf(Array.isArray(args[0]) ? args[0].slice(0, MOST_DASHES).map(Number) : []);
        break;
      case 'setFillRGBColor':
        state.fill = colourOf(args);
        break;
      case 'setStrokeRGBColor':
        state.stroke = colourOf(args);
        break;
      case 'constructPath': {
        const data = (args[1] as ArrayLike<unknown> | undefined)?.[0];
        const how = names.get(Number(args[0])) ?? '';
        if (data && typeof data === 'object' && 'length' in data) paint(how, data as ArrayLike<number>);
        break;
      }
      case 'beginMarkedContentProps': {
        const id = (args[1] as { id?: unknown } | undefined)?.id;
        marked.push(args[0] === 'OC' && typeof id === 'string' ? groups.get(id) : undefined);
        break;
      }
      case 'beginMarkedContent':
        marked.push(undefined);
        break;
      case 'endMarkedContent':
        marked.pop();
        break;
      case 'shadingFill':
        drop(layerOf().name, 'an area of changing colour');
        break;
      case 'paintImageXObject': {
        pictures++;
        const { name: layer, shown } = layerOf();
        const box = uprightBox(state.matrix);
        if (!shown || marked.some((each) => each?.shown === false)) drop(layer, 'the layer is off');
        else if (box && typeof args[0] === 'string' && images.length < MOST_IMAGES)
          images.push({ id: args[0], layer, ...box });
        else drop(layer, 'a picture that does not stand upright, or one too many');
        break;
      }
      default:
        if (PICTURES.test(name)) {
          pictures++;
          drop(layerOf().name, 'a picture of dots');
        }
    }
  }
  return { items, dropped: [...dropped.values()], pictures, images };
}

/** Pictures of one page that are taken over. */
const MOST_IMAGES = 50;
/** How far the edges of a picture may be off level and upright, as a part of its size. */
const ASKEW = 0.01;

/** Where the unit square of a picture stands, when it is upright. */
function uprightBox([a, b, c, d, x, y]: Matrix): Rect | undefined {
  const upright = a > 0 && d > 0 && Math.abs(b) <= ASKEW * a && Math.abs(c) <= ASKEW * d;
  return upright ? { x, y, width: a, height: d } : undefined;
}

/** Colours come as #rrggbb, or as three parts from 0 to 255. */
function colourOf(args: readonly unknown[]): string {
  if (typeof args[0] === 'string') return args[0].toLowerCase();
  return `#${args
    .slice(0, 3)
    .map((part) => Math.round(Number(part)).toString(16).padStart(2, '0'))
    .join('')}`;
}

const isWhite = (colour: string): boolean => colour === '#ffffff';

function ringsOf(data: ArrayLike<number>, matrix: Matrix, close: boolean): { points: number[]; closed: boolean }[] {
  const rings: { points: number[]; closed: boolean }[] = [];
  let ring: { points: number[]; closed: boolean } | undefined;
  let i = 0;
  const next = (): [number, number] => {
    const [x, y] = [data[i] ?? 0, data[i + 1] ?? 0];
    i += 2;
    return moved(matrix, x, y);
  };
  const from = (): [number, number] => [ring?.points.at(-2) ?? 0, ring?.points.at(-1) ?? 0];
  while (i < data.length) {
    const step = data[i++];
    if (step === STEP.move) {
      ring = { points: next(), closed: false };
      rings.push(ring);
    } else if (step === STEP.line) {
      ring?.points.push(...next());
    } else if (step === STEP.cubic) {
      const [[x1, y1], [x2, y2], [x3, y3]] = [next(), next(), next()];
      const [x0, y0] = from();
      bezier(x0, y0, x1, y1, x2, y2, x3, y3, FLATNESS, (x, y) => ring?.points.push(x, y));
    } else if (step === STEP.quadratic) {
      const [[qx, qy], [x3, y3]] = [next(), next()];
      const [x0, y0] = from();
      const part = (at: number, to: number): number => at + (2 / 3) * (to - at);
      const [x1, y1, x2, y2] = [part(x0, qx), part(y0, qy), part(x3, qx), part(y3, qy)];
      bezier(x0, y0, x1, y1, x2, y2, x3, y3, FLATNESS, (x, y) => ring?.points.push(x, y));
    } else if (step === STEP.close) {
      if (ring) ring.closed = true;
    } else break;
  }
  if (close) for (const each of rings) each.closed = true;
  return rings.filter(({ points }) => points.length >= 4 && points.every(Number.isFinite));
}
