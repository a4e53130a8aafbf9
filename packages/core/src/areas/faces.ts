import type { Point } from '../geometry';
import { twiceArea } from './polygons';

/** A line that closes nothing by itself: its points x, y, x, y …. */
export interface LooseLine {
  points: readonly number[];
  layer: string;
}

/** What lines enclose together. */
export interface Faces {
  rings: { ring: number[]; layer: string }[];
  /** Ends of lines that are part of no ring. */
  open: Point[];
  /** Whether there is more than is looked through. */
  tooMany: boolean;
}

/** Straight pieces that are looked through, and pairs of them that lie near each other. */
const [MOST_PIECES, MOST_PAIRS] = [200_000, 2_000_000];

interface Piece {
  x: number;
  y: number;
  dx: number;
  dy: number;
  line: number;
  /** Where others meet or cross it, from 0 at its start to 1 at its end. */
  cuts: number[];
}

/**
 * The smallest areas that lines enclose which meet, cross, or end on each other; each once.
 * @param tolerance what is nearer to each other meets, in units of the drawing
 */
export function facesOf(lines: readonly LooseLine[], tolerance: number): Faces {
  const pieces = straightPieces(lines, tolerance);
  if (pieces.length > MOST_PIECES || !cutAtEachOther(pieces, tolerance)) return { rings: [], open: [], tooMany: true };
  const graph = new Graph(tolerance);
  for (const piece of pieces) {
    const places = [0, ...piece.cuts.sort((a, b) => a - b), 1];
    const nodes = places.map((at) => graph.nodeAt(piece.x + at * piece.dx, piece.y + at * piece.dy));
    for (let i = 0; i + 1 < nodes.length; i++) graph.join(nodes[i] ?? 0, nodes[i + 1] ?? 0, piece.line);
  }
  // One end of each line: from there it is followed to the other.
  const ends = new Map(graph.prune().map(({ line, at }) => [line, at]));
  const used = graph.linesLeft();
  return {
    rings: graph.rings(tolerance).map(({ ring, line }) => ({ ring, layer: lines[line]?.layer ?? '' })),
    open: [...ends].flatMap(([line, at]) => (used.has(line) ? [] : [at])),
    tooMany: false,
  };
}

function straightPieces(lines: readonly LooseLine[], tolerance: number): Piece[] {
  const pieces: Piece[] = [];
  for (const [line, { points }] of lines.entries()) {
    let [x, y] = [points[0] ?? 0, points[1] ?? 0];
    for (let i = 2; i + 1 < points.length; i += 2) {
      const [dx, dy] = [(points[i] ?? 0) - x, (points[i + 1] ?? 0) - y];
      // What is shorter than the tolerance is left to the next piece.
      if (Math.hypot(dx, dy) <= tolerance) continue;
      pieces.push({ x, y, dx, dy, line, cuts: [] });
      [x, y] = [x + dx, y + dy];
    }
  }
  return pieces;
}

/** Notes where pieces meet, looked up by place. @returns whether all of them could be looked through */
function cutAtEachOther(pieces: readonly Piece[], tolerance: number): boolean {
  const together = pieces.reduce((sum, { dx, dy }) => sum + Math.abs(dx) + Math.abs(dy), 0);
  // As wide as the pieces are long on average: most lie in a few cells.
  const cell = Math.max(together / Math.max(pieces.length, 1), tolerance * 8);
  const cells = new Map<string, number[]>();
  /** By which piece each was met last: two may share several cells. */
  const metBy = new Int32Array(pieces.length).fill(-1);
  let pairs = 0;
  for (const [i, piece] of pieces.entries()) {
    for (const key of cellsOf(piece, cell, tolerance)) {
      const known = cells.get(key) ?? [];
      for (const other of known) {
        if (metBy[other] === i) continue;
        metBy[other] = i;
        if (++pairs > MOST_PAIRS) return false;
        meet(piece, pieces[other]!, tolerance);
      }
      if (known.length === 0) cells.set(key, known);
      known.push(i);
    }
  }
  return true;
}

/** The cells that a piece runs through, column by column. */
function* cellsOf({ x, y, dx, dy }: Piece, cell: number, tolerance: number): Generator<string> {
  const [left, right] = dx < 0 ? [x + dx, x] : [x, x + dx];
  const first = Math.floor((left - tolerance) / cell);
  const last = Math.floor((right + tolerance) / cell);
  for (let column = first; column <= last; column++) {
    const part = (at: number): number => (dx === 0 ? 0 : Math.min(1, Math.max(0, (at - x) / dx)));
    const [a, b] = dx === 0 ? [0, 1] : [part(column * cell), part((column + 1) * cell)];
    const [ya, yb] = [y + a * dy, y + b * dy];
    const [from, to] = [Math.min(ya, yb) - tolerance, Math.max(ya, yb) + tolerance];
    for (let row = Math.floor(from / cell); row <= Math.floor(to / cell); row++) yield `${column} ${row}`;
  }
}

function meet(a: Piece, b: Piece, tolerance: number): void {
  endsOn(a, b, tolerance);
  endsOn(b, a, tolerance);
  const across = a.dx * b.dy - a.dy * b.dx;
  // Side by side.
  if (across ** 2 <= 1e-24 * (a.dx ** 2 + a.dy ** 2) * (b.dx ** 2 + b.dy ** 2)) return;
  const [x, y] = [b.x - a.x, b.y - a.y];
  const onA = (x * b.dy - y * b.dx) / across;
  const onB = (x * a.dy - y * a.dx) / across;
  if (onA > 0 && onA < 1 && onB > 0 && onB < 1) {
    a.cuts.push(onA);
    b.cuts.push(onB);
  }
}

/** Notes on a piece where another one begins or ends on it. */
function endsOn(on: Piece, other: Piece, tolerance: number): void {
  const length = on.dx ** 2 + on.dy ** 2;
  for (let at = 0; at <= 1; at++) {
    const x = other.x + at * other.dx - on.x;
    const y = other.y + at * other.dy - on.y;
    const along = (x * on.dx + y * on.dy) / length;
    if (along <= 0 || along >= 1) continue;
    const [u, v] = [x - along * on.dx, y - along * on.dy];
    if (u * u + v * v <= tolerance * tolerance) on.cuts.push(along);
  }
}

interface Edge {
  from: number;
  to: number;
  line: number;
  angle: number;
  /** The same edge the other way. */
  back: number;
  gone: boolean;
}

/** Places with the edges between them. */
class Graph {
  private readonly places: Point[] = [];
  private readonly byCell = new Map<string, number[]>();
  private readonly edges: Edge[] = [];
  private readonly joined = new Set<string>();
  private readonly from: number[][] = [];

  constructor(private readonly tolerance: number) {}

  /** The place at a point, or the one that it meets. */
  nodeAt(x: number, y: number): number {
    const cell = this.tolerance * 2;
    const [column, row] = [Math.floor(x / cell), Math.floor(y / cell)];
    for (let c = column - 1; c <= column + 1; c++)
      for (let r = row - 1; r <= row + 1; r++)
        for (const node of this.byCell.get(`${c} ${r}`) ?? []) {
          const place = this.places[node]!;
          if (Math.hypot(place.x - x, place.y - y) <= this.tolerance) return node;
        }
    const node = this.places.push({ x, y }) - 1;
    this.from.push([]);
    const key = `${column} ${row}`;
    const known = this.byCell.get(key);
    if (known) known.push(node);
    else this.byCell.set(key, [node]);
    return node;
  }

  /** Joins two places, once. */
  join(a: number, b: number, line: number): void {
    const key = a < b ? `${a} ${b}` : `${b} ${a}`;
    if (a === b || this.joined.has(key)) return;
    this.joined.add(key);
    const [p, q] = [this.places[a]!, this.places[b]!];
    const there = this.edges.length;
    const angle = Math.atan2(q.y - p.y, q.x - p.x);
    this.edges.push({ from: a, to: b, line, angle, back: there + 1, gone: false });
    this.edges.push({ from: b, to: a, line, angle: Math.atan2(p.y - q.y, p.x - q.x), back: there, gone: false });
    this.from[a]?.push(there);
    this.from[b]?.push(there + 1);
  }

  private readonly left = (node: number): number[] => (this.from[node] ?? []).filter((edge) => !this.edges[edge]!.gone);

  /** Takes away what hangs loose. @returns where it ended */
  prune(): { at: Point; line: number }[] {
    const ends: { at: Point; line: number }[] = [];
    const waiting = this.places.flatMap((_, node) => (this.left(node).length === 1 ? [node] : []));
    for (const node of waiting) ends.push({ at: this.places[node]!, line: this.edges[this.left(node)[0] ?? 0]!.line });
    for (let node = waiting.pop(); node !== undefined; node = waiting.pop()) {
      const [only, ...others] = this.left(node);
      if (only === undefined || others.length > 0) continue;
      const edge = this.edges[only]!;
      edge.gone = true;
      this.edges[edge.back]!.gone = true;
      if (this.left(edge.to).length === 1) waiting.push(edge.to);
    }
    return ends;
  }

  linesLeft(): ReadonlySet<number> {
    return new Set(this.edges.flatMap(({ gone, line }) => (gone ? [] : [line])));
  }

  /** The rings around the smallest areas, counter-clockwise. */
  rings(tolerance: number): { ring: number[]; line: number }[] {
    /** The edge after another one around the area to its left: the next one clockwise from where it came. */
    const after = new Map<number, number>();
    for (const node of this.places.keys()) {
      const around = this.left(node).sort((a, b) => this.edges[a]!.angle - this.edges[b]!.angle);
      for (const [i, edge] of around.entries())
        after.set(this.edges[edge]!.back, around[(i + around.length - 1) % around.length] ?? edge);
    }
    const rings: { ring: number[]; line: number }[] = [];
    const seen = new Set<number>();
    for (const start of after.keys()) {
      const ring: number[] = [];
      for (let edge = start; !seen.has(edge); edge = after.get(edge) ?? start) {
        seen.add(edge);
        const { x, y } = this.places[this.edges[edge]!.from]!;
        ring.push(x, y);
      }
      if (ring.length >= 6 && twiceArea(ring) > tolerance ** 2) rings.push({ ring, line: this.edges[start]!.line });
    }
    return rings;
  }
}
