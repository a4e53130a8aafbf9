import type { ArcItem, Item, Rect, SourceSpace, StrokeItem } from '@mendrel/core';
import { SOURCE_VERSION } from '@mendrel/core';

type Line = StrokeItem | ArcItem;
/** What lines are drawn with. */
type Look = Omit<StrokeItem, 'kind' | 'points' | 'closed'>;

/** What stands before the numbers, as JSON. */
interface Head {
  version: number;
  box: Rect;
  looks: Look[];
  strokes: number;
  coordinates: number;
  arcs: number;
  /** Areas, texts and images, of which a drawing has few. */
  rest: Item[];
}

/** Numbers of an arc: the middle, the radius, where it begins and ends. */
const ARC = 5;
const CLOSED = 1;

/** Lines of one layer that others of it are held against. */
const MOST_ALIKE = 8;

const sameDashes = (a: Line['dashes'], b: Line['dashes']): boolean =>
  a === b || (a !== undefined && a.length === b?.length && a.every((each, i) => each === b[i]));

const looksLike = (a: Line, b: Line): boolean =>
  a.width === b.width &&
  sameDashes(a.dashes, b.dashes) &&
  a.colour === b.colour &&
  a.opacity === b.opacity &&
  a.oldPen?.colour === b.oldPen?.colour;

const isLine = (item: Item): item is Line => item.kind === 'stroke' || item.kind === 'arc';

/**
 * A space as bytes: the length of a head, the head as JSON, then numbers in the order of this machine's kind (little-endian): of each
 * stroke its look, twice the number of its points and one more where it is closed; of each arc its look; the coordinates of all
 * strokes; the numbers of all arcs. Areas come first when it is read again, then lines, then what is written.
 */
export function encoded({ box, items }: SourceSpace): Uint8Array {
  const looks: Look[] = [];
  const known = new Map<string, number>();
  /** The last lines of each layer that had a look of their own, with the numbers of those. */
  const ofLayer = new Map<string, { line: Line; look: number }[]>();
  const rest: Item[] = [];
  let [strokes, coordinates, arcs] = [0, 0, 0];
  for (const item of items) {
    if (!isLine(item)) rest.push(item);
    else if (item.kind === 'arc') arcs++;
    else {
      strokes++;
      coordinates += item.points.length;
    }
  }
  const lookOf = (item: Line): number => {
    // Most lines of a layer look like others of it: putting the look of each into words takes as long as all the rest.
    const alike = ofLayer.get(item.layer);
    for (const each of alike ?? []) if (looksLike(each.line, item)) return each.look;
    const { layer, part, width, dashes, colour, opacity, oldPen } = item;
    const look: Look = {
      layer,
      part,
      width,
      ...(dashes ? { dashes } : {}),
      ...(colour === undefined ? {} : { colour }),
      ...(opacity === undefined ? {} : { opacity }),
      // Pens may go by the colour that a line has in the drawing.
      ...(oldPen?.colour === undefined ? {} : { oldPen: { colour: oldPen.colour } }),
    };
    const key = JSON.stringify(look);
    let index = known.get(key);
    if (index === undefined) {
      known.set(key, (index = looks.length));
      looks.push(look);
    }
    if (!alike) ofLayer.set(item.layer, [{ line: item, look: index }]);
    else if (alike.length < MOST_ALIKE) alike.push({ line: item, look: index });
    return index;
  };
  const whole = new Uint32Array(2 * strokes + arcs);
  const numbers = new Float64Array(coordinates + ARC * arcs);
  let [stroke, at, arc] = [0, 0, 0];
  for (const item of items) {
    if (item.kind === 'stroke') {
      whole[stroke++] = lookOf(item);
      whole[stroke++] = item.points.length + (item.closed ? CLOSED : 0);
      for (const each of item.points) numbers[at++] = each;
    } else if (item.kind === 'arc') {
      whole[2 * strokes + arc] = lookOf(item);
      numbers.set([item.centre.x, item.centre.y, item.radius, item.from, item.to], coordinates + ARC * arc);
      arc++;
    }
  }
  const head: Head = { version: SOURCE_VERSION, box, looks, strokes, coordinates, arcs, rest };
  const words = new TextEncoder().encode(JSON.stringify(head));
  // Numbers stand at places that are multiples of eight.
  const from = Math.ceil((8 + words.length) / 8) * 8;
  const bytes = new Uint8Array(from + numbers.byteLength + whole.byteLength);
  new DataView(bytes.buffer).setUint32(0, words.length, true);
  bytes.set(words, 8);
  bytes.set(new Uint8Array(numbers.buffer), from);
  bytes.set(new Uint8Array(whole.buffer), from + numbers.byteLength);
  return bytes;
}

/** Written out: of a plan there are hundreds of thousands, and objects that are put together of others take five times as long. */
function strokeOf(look: Look, points: number[], closed: boolean): StrokeItem {
  const { layer, part, width } = look;
  if (look.colour !== undefined || look.opacity !== undefined) return { ...look, kind: 'stroke', points, closed };
  const stroke: StrokeItem = { kind: 'stroke', layer, part, points, closed, width };
  if (look.dashes !== undefined) stroke.dashes = look.dashes;
  if (look.oldPen !== undefined) stroke.oldPen = look.oldPen;
  return stroke;
}

/** @throws Error for bytes that were not written by `encoded` */
export function decoded(file: Uint8Array): SourceSpace {
  // A copy begins at a multiple of eight.
  const bytes = file.byteOffset % 8 === 0 ? file : file.slice();
  const length = new DataView(bytes.buffer, bytes.byteOffset).getUint32(0, true);
  const head = JSON.parse(new TextDecoder().decode(bytes.subarray(8, 8 + length))) as Head;
  if (head.version !== SOURCE_VERSION) throw new Error(`linework of version ${String(head.version)} is not known here`);
  const { looks, strokes, coordinates, arcs, rest } = head;
  const from = bytes.byteOffset + Math.ceil((8 + length) / 8) * 8;
  const numbers = new Float64Array(bytes.buffer, from, coordinates + ARC * arcs);
  const whole = new Uint32Array(bytes.buffer, from + numbers.byteLength, 2 * strokes + arcs);
  const items: Item[] = rest.filter(({ kind }) => kind === 'fill');
  let at = 0;
  for (let i = 0; i < strokes; i++) {
    const size = whole[2 * i + 1] ?? 0;
    const count = size - (size % 2);
    const points = new Array<number>(count);
    for (let k = 0; k < count; k++) points[k] = numbers[at++] ?? 0;
    items.push(strokeOf(looks[whole[2 * i] ?? 0] as Look, points, size % 2 === CLOSED));
  }
  for (let i = 0; i < arcs; i++) {
    const [x = 0, y = 0, radius = 0, begins = 0, ends = 0] = numbers.subarray(
      coordinates + ARC * i,
      coordinates + ARC * (i + 1),
    );
    items.push({
      ...(looks[whole[2 * strokes + i] ?? 0] as Look),
      kind: 'arc',
      centre: { x, y },
      radius,
      from: begins,
      to: ends,
    });
  }
  for (const item of rest) if (item.kind !== 'fill') items.push(item);
  return { version: head.version, box: head.box, items };
}
