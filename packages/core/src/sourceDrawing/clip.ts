import type { ArcItem, FillItem, ImageItem, Item, StrokeItem } from '../drawing';
import { boundsOf } from '../drawing';
import type { Rect } from '../geometry';
import { contains, right, top } from '../geometry';

/** Lengths below this are nothing, in mm. */
const NOTHING = 1e-9;

/**
 * What of an item lies within a window, exactly: strokes and arcs end at its edge, areas follow it. Lettering is whole or not
 * there, since half a word says something else.
 */
export function clipped(item: Item, window: Rect): Item[] {
  const box = boundsOf(item);
  if (box.x > right(window) || right(box) < window.x || box.y > top(window) || top(box) < window.y) return [];
  const inside = contains(window, box, NOTHING) && contains(window, { x: right(box), y: top(box) }, NOTHING);
  if (inside) return [item];
  switch (item.kind) {
    case 'stroke':
      return clippedStroke(item, window);
    case 'arc':
      return clippedArc(item, window);
    case 'fill':
      return clippedFill(item, window);
    case 'image':
      return clippedImage(item, window);
    case 'text':
    case 'piece':
      return [];
  }
}

/** The part of a straight piece within a window, from 0 at its start to 1 at its end (after Liang and Barsky). */
function partWithin(x0: number, y0: number, x1: number, y1: number, window: Rect): [number, number] | undefined {
  let [from, to] = [0, 1];
  for (const [by, room] of [
    [x0 - x1, x0 - window.x],
    [x1 - x0, right(window) - x0],
    [y0 - y1, y0 - window.y],
    [y1 - y0, top(window) - y0],
  ] as const) {
    if (by === 0) {
      if (room < 0) return undefined;
      continue;
    }
    const at = room / by;
    if (by < 0) from = Math.max(from, at);
    else to = Math.min(to, at);
  }
  return from < to ? [from, to] : undefined;
}

function clippedStroke(item: StrokeItem, window: Rect): StrokeItem[] {
  const { points } = item;
  const runs: number[][] = [];
  let run: number[] | undefined;
  const count = points.length / 2;
  const pieces = item.closed ? count : count - 1;
  for (let i = 0; i < pieces; i++) {
    const j = (i + 1) % count;
    const [x0, y0] = [points[2 * i] ?? 0, points[2 * i + 1] ?? 0];
    const [x1, y1] = [points[2 * j] ?? 0, points[2 * j + 1] ?? 0];
    const part = partWithin(x0, y0, x1, y1, window);
    if (!part) {
      run = undefined;
      continue;
    }
    const [from, to] = part;
    if (!run || from > 0) runs.push((run = [x0 + from * (x1 - x0), y0 + from * (y1 - y0)]));
    run.push(x0 + to * (x1 - x0), y0 + to * (y1 - y0));
    if (to < 1) run = undefined;
  }
  // A closed line that begins within the window goes on from its end.
  const [first, last] = [runs[0], runs.at(-1)];
  const joined =
    item.closed &&
    first &&
    last &&
    first !== last &&
    last.at(-2) === first[0] &&
    last.at(-1) === first[1] &&
    first[0] === points[0] &&
    first[1] === points[1];
  if (joined) {
    runs.pop();
    runs[0] = [...last, ...first.slice(2)];
  }
  return runs.map((each) => ({ ...item, points: each, closed: false }));
}

function clippedArc(item: ArcItem, window: Rect): ArcItem[] {
  const { centre, radius } = item;
  const sweep = (((item.to - item.from) % 360) + 360) % 360 || 360;
  const cuts = new Set<number>([0, sweep]);
  const cut = (radians: number): void => {
    const along = ((((radians * 180) / Math.PI - item.from) % 360) + 360) % 360;
    if (along < sweep) cuts.add(along);
  };
  for (const x of [window.x, right(window)]) {
    const cosine = (x - centre.x) / radius;
    if (Math.abs(cosine) <= 1) for (const turn of [1, -1]) cut(turn * Math.acos(cosine));
  }
  for (const y of [window.y, top(window)]) {
    const sine = (y - centre.y) / radius;
    if (Math.abs(sine) > 1) continue;
    cut(Math.asin(sine));
    cut(Math.PI - Math.asin(sine));
  }
  const places = [...cuts].sort((a, b) => a - b);
  const within: [number, number][] = [];
  for (let i = 0; i + 1 < places.length; i++) {
    const [from, to] = [places[i] ?? 0, places[i + 1] ?? 0];
    const middle = ((item.from + (from + to) / 2) * Math.PI) / 180;
    const point = { x: centre.x + radius * Math.cos(middle), y: centre.y + radius * Math.sin(middle) };
    if (!contains(window, point)) continue;
    const before = within.at(-1);
    if (before?.[1] === from) before[1] = to;
    else within.push([from, to]);
  }
  return within.map(([from, to]) => ({ ...item, from: item.from + from, to: item.from + to }));
}

type Inside = (x: number, y: number) => boolean;

/** A ring cut along one edge of a window (after Sutherland and Hodgman); pieces along the edge cover nothing. */
function cutRing(ring: readonly number[], inside: Inside, crossing: (part: number[]) => [number, number]): number[] {
  const out: number[] = [];
  const count = ring.length / 2;
  for (let i = 0; i < count; i++) {
    const j = (i + 1) % count;
    const [x0, y0] = [ring[2 * i] ?? 0, ring[2 * i + 1] ?? 0];
    const [x1, y1] = [ring[2 * j] ?? 0, ring[2 * j + 1] ?? 0];
    const [begins, ends] = [inside(x0, y0), inside(x1, y1)];
    if (begins) out.push(x0, y0);
    if (begins !== ends) out.push(...crossing([x0, y0, x1, y1]));
  }
  return out;
}

function clippedFill(item: FillItem, window: Rect): FillItem[] {
  const atX =
    (x: number) =>
    ([x0 = 0, y0 = 0, x1 = 0, y1 = 0]: number[]): [number, number] => [x, y0 + ((x - x0) / (x1 - x0)) * (y1 - y0)];
  const atY =
    (y: number) =>
    ([x0 = 0, y0 = 0, x1 = 0, y1 = 0]: number[]): [number, number] => [x0 + ((y - y0) / (y1 - y0)) * (x1 - x0), y];
  const cut = (ring: readonly number[]): number[] => {
    let left = cutRing(ring, (x) => x >= window.x, atX(window.x));
    left = cutRing(left, (x) => x <= right(window), atX(right(window)));
    left = cutRing(left, (_x, y) => y >= window.y, atY(window.y));
    return cutRing(left, (_x, y) => y <= top(window), atY(top(window)));
  };
  const rings = item.rings.map(cut).filter((ring) => ring.length >= 6);
  return rings.length > 0 ? [{ ...item, rings }] : [];
}

/** An image where it is seen through a window, as one item or none. */
export function clippedImage(item: ImageItem, window: Rect): ImageItem[] {
  const shown = item.clip ?? item;
  const [x, y] = [Math.max(shown.x, window.x), Math.max(shown.y, window.y)];
  const width = Math.min(right(shown), right(window)) - x;
  const height = Math.min(top(shown), top(window)) - y;
  return width > NOTHING && height > NOTHING ? [{ ...item, clip: { x, y, width, height } }] : [];
}
