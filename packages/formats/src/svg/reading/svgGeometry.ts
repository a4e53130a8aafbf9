import svgpath from 'svgpath';
import { bezier } from '../../geometry/bezier';
import type { Matrix } from '../../geometry/matrix';
import { times } from '../../geometry/matrix';
import type { XmlNode } from './xmlTree';

/** A length attribute in mm: bare numbers and px are pixels of 96 to the inch. */
export function attributeLength(text: string | undefined): number | undefined {
  const found = /^\s*(\d*\.?\d+(?:e[+-]?\d+)?)\s*(mm|cm|in|pt|px)?\s*$/i.exec(text ?? '');
  if (!found) return undefined;
  const per: Record<string, number> = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, px: 25.4 / 96 };
  return Number(found[1]) * (per[(found[2] ?? 'px').toLowerCase()] ?? 1);
}

/** The path of a basic shape; undefined for what is none. */
export function pathOf({ name, attributes }: XmlNode): string | undefined {
  const n = (key: string): number => Number.parseFloat(attributes[key] ?? '') || 0;
  switch (name) {
    case 'path':
      return attributes.d ?? '';
    case 'rect':
      return `M${n('x')} ${n('y')}h${n('width')}v${n('height')}h${-n('width')}z`;
    case 'line':
      return `M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`;
    case 'polyline':
      return `M${attributes.points ?? ''}`;
    case 'polygon':
      return `M${attributes.points ?? ''}z`;
    case 'circle':
    case 'ellipse': {
      const [rx, ry] = name === 'circle' ? [n('r'), n('r')] : [n('rx'), n('ry')];
      const [cx, cy] = [n('cx'), n('cy')];
      return `M${cx - rx} ${cy}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0z`;
    }
    default:
      return undefined;
  }
}

/** A matrix followed by an element's own transform; svgpath reads the latter. */
export function composed(matrix: Matrix, transform: string | undefined): Matrix {
  if (!transform) return matrix;
  // Where the transform takes the origin and the two unit steps says all there is to say about it.
  const corner = (x: number, y: number): [number, number] => {
    let at: [number, number] = [x, y];
    svgpath(`M${x} ${y}`)
      .transform(transform)
      .iterate((segment) => {
        at = [Number(segment[1]), Number(segment[2])];
      });
    return at;
  };
  const [e, f] = corner(0, 0);
  const [a, b] = corner(1, 0);
  const [c, d] = corner(0, 1);
  return times(matrix, [a - e, b - f, c - e, d - f, e, f]);
}

/** Numbers that each command takes. */
const NUMBERS: Readonly<Record<string, number>> = { m: 2, l: 2, h: 1, v: 1, c: 6, s: 4, q: 4, t: 2 };
/** Commands with fewer characters after them are left as they stand. */
const LONG = 2000;

/**
 * The same path with its command written before every group of numbers: the library takes time that grows with the square
 * of how many groups follow one command. Arcs are left as they are, since their flags need no space between them.
 */
function withEveryCommand(data: string): string {
  if (data.length < LONG) return data;
  const starts = [...data.matchAll(/[achlmqstvz]/gi)].map(({ index }) => index);
  if (starts[0] !== 0 && data.slice(0, starts[0]).trim() !== '') return data;
  return starts.map((start, i) => withItsCommand(data.slice(start, starts[i + 1]))).join('');
}

/** A command and what follows it, with the command before every group of its numbers. */
function withItsCommand(part: string): string {
  const command = part[0] ?? '';
  const count = NUMBERS[command.toLowerCase()];
  // What is no number is for the library to refuse.
  if (part.length < LONG || count === undefined || /[^\s,\d.e+-]/i.test(part.slice(1))) return part;
  const numbers = part.match(/[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi) ?? [];
  if (numbers.length % count !== 0) return part;
  // What follows a move is a line.
  const next = command === 'M' ? 'L' : command === 'm' ? 'l' : command;
  let out = '';
  for (let i = 0; i < numbers.length; i += count)
    out += `${i === 0 ? command : next}${numbers.slice(i, i + count).join(' ')}`;
  return out;
}

/** Polylines of a path on paper; curves in straight pieces no farther from them than `flatness` mm. */
export function flattened(
  data: string,
  matrix: Matrix,
  flatness: number,
): { points: number[]; closed: boolean }[] | undefined {
  const rings: { points: number[]; closed: boolean }[] = [];
  let ring: { points: number[]; closed: boolean } | undefined;
  const path = svgpath(withEveryCommand(data))
    .unshort()
    .unarc()
    .abs()
    .matrix([...matrix]);
  if ((path as unknown as { err: string }).err) return undefined;
  const start = (x: number, y: number): void => {
    ring = { points: [x, y], closed: false };
    rings.push(ring);
  };
  const to = (x: number, y: number): void => void ring?.points.push(x, y);
  path.iterate((segment, _index, x0, y0) => {
    const [command, ...v] = segment as [string, ...number[]];
    const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0] = v;
    if (command !== 'M' && ring === undefined) start(x0, y0);
    switch (command) {
      case 'M':
        start(a, b);
        break;
      case 'L':
        to(a, b);
        break;
      case 'H':
        to(a, y0);
        break;
      case 'V':
        to(x0, a);
        break;
      case 'C':
        bezier(x0, y0, a, b, c, d, e, f, flatness, to);
        break;
      case 'Q':
        bezier(
          x0,
          y0,
          x0 + (2 / 3) * (a - x0),
          y0 + (2 / 3) * (b - y0),
          c + (2 / 3) * (a - c),
          d + (2 / 3) * (b - d),
          c,
          d,
          flatness,
          to,
        );
        break;
      case 'Z':
        if (ring) ring.closed = true;
        ring = undefined;
        break;
    }
  });
  return rings.every(({ points }) => points.every(Number.isFinite)) ? rings : undefined;
}
