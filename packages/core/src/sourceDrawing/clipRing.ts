import polygonClipping from 'polygon-clipping';
import type { MultiPolygon, Polygon, Ring } from 'polygon-clipping';
import { isInside } from '../areas';
import type { ArcItem, FillItem, ImageItem, Item, StrokeItem, TextItem } from '../drawing';
import { boundsOf, boundsOfPoints } from '../drawing';
import type { Point } from '../geometry';
import { right, top } from '../geometry';
import { clippedImage } from './clip';

/** A closed outline as x, y, x, y …; what lies within is told by the even-odd rule. */
export type Outline = readonly number[];

/** Places along a line that are nearer to each other are one. */
const NOTHING = 1e-12;

const cornersOf = (ring: Outline): Point[] =>
  Array.from({ length: Math.floor(ring.length / 2) }, (_, i) => ({ x: ring[2 * i] ?? 0, y: ring[2 * i + 1] ?? 0 }));

/** Where a straight piece crosses an outline, from 0 at its start to 1 at its end, in order, with both ends. */
function crossings(x0: number, y0: number, x1: number, y1: number, ring: Outline): number[] {
  const found = [0, 1];
  const [dx, dy] = [x1 - x0, y1 - y0];
  const count = ring.length / 2;
  for (let i = 0, j = count - 1; i < count; j = i++) {
    const [ax, ay] = [ring[2 * j] ?? 0, ring[2 * j + 1] ?? 0];
    const [bx, by] = [(ring[2 * i] ?? 0) - ax, (ring[2 * i + 1] ?? 0) - ay];
    const across = dx * by - dy * bx;
    if (across === 0) continue;
    const along = ((ax - x0) * by - (ay - y0) * bx) / across;
    const of = ((ax - x0) * dy - (ay - y0) * dx) / across;
    if (along > 0 && along < 1 && of >= 0 && of <= 1) found.push(along);
  }
  return found.sort((a, b) => a - b);
}

function cutStroke(item: StrokeItem, ring: Outline): StrokeItem[] {
  const { points, closed } = item;
  const runs: number[][] = [];
  let run: number[] | undefined;
  const count = points.length / 2;
  for (let i = 0; i < (closed ? count : count - 1); i++) {
    const j = (i + 1) % count;
    const [x0, y0] = [points[2 * i] ?? 0, points[2 * i + 1] ?? 0];
    const [dx, dy] = [(points[2 * j] ?? 0) - x0, (points[2 * j + 1] ?? 0) - y0];
    const places = crossings(x0, y0, x0 + dx, y0 + dy, ring);
    for (let k = 0; k + 1 < places.length; k++) {
      const [from, to] = [places[k] ?? 0, places[k + 1] ?? 1];
      if (to - from < NOTHING) continue;
      const middle = (from + to) / 2;
      if (!isInside(ring, { x: x0 + middle * dx, y: y0 + middle * dy })) {
        run = undefined;
        continue;
      }
      if (!run) runs.push((run = [x0 + from * dx, y0 + from * dy]));
      run.push(x0 + to * dx, y0 + to * dy);
    }
  }
  const whole = closed && runs.length === 1 && runs[0]?.length === points.length + 2;
  if (whole) return [item];
  return runs.map((each) => ({ ...item, points: each, closed: false }));
}

function cutArc(item: ArcItem, ring: Outline): ArcItem[] {
  const { centre, radius } = item;
  const sweep = (((item.to - item.from) % 360) + 360) % 360 || 360;
  const cuts = [0, sweep];
  const corners = cornersOf(ring);
  corners.forEach((a, i) => {
    const b = corners[(i + 1) % corners.length]!;
    // Where the edge meets the circle: |a + t·d − centre| = radius.
    const [dx, dy, fx, fy] = [b.x - a.x, b.y - a.y, a.x - centre.x, a.y - centre.y];
    const [p, q, r] = [dx * dx + dy * dy, fx * dx + fy * dy, fx * fx + fy * fy - radius * radius];
    const root = q * q - p * r;
    if (p === 0 || root < 0) return;
    for (const sign of [1, -1]) {
      const t = (-q + sign * Math.sqrt(root)) / p;
      if (t < 0 || t > 1) continue;
      const turn = (Math.atan2(fy + t * dy, fx + t * dx) * 180) / Math.PI;
      const along = (((turn - item.from) % 360) + 360) % 360;
      if (along < sweep) cuts.push(along);
    }
  });
  const places = cuts.sort((a, b) => a - b);
  const within: [number, number][] = [];
  for (let i = 0; i + 1 < places.length; i++) {
    const [from, to] = [places[i] ?? 0, places[i + 1] ?? 0];
    if (to - from < NOTHING) continue;
    const middle = ((item.from + (from + to) / 2) * Math.PI) / 180;
    const at = { x: centre.x + radius * Math.cos(middle), y: centre.y + radius * Math.sin(middle) };
    if (!isInside(ring, at)) continue;
    const before = within.at(-1);
    if (before?.[1] === from) before[1] = to;
    else within.push([from, to]);
  }
  return within.map(([from, to]) => ({ ...item, from: item.from + from, to: item.from + to }));
}

const asRing = (ring: Outline): Ring => cornersOf(ring).map(({ x, y }): [number, number] => [x, y]);

/** The area of rings by the even-odd rule. */
function evenOdd(rings: readonly (readonly number[])[]): MultiPolygon {
  const [first, ...rest] = rings.filter((ring) => ring.length >= 6).map((ring): Polygon => [asRing(ring)]);
  return first ? polygonClipping.xor(first, ...rest) : [];
}

function cutFill(item: FillItem, ring: Outline): FillItem[] {
  let cut: MultiPolygon;
  try {
    cut = polygonClipping.intersection(evenOdd(item.rings), evenOdd([ring]));
  } catch {
    // Rings that touch themselves within rounding may have no answer; a part of a drawing must not stop all of it.
    return item.rings.every((each) => cornersOf(each).every((corner) => isInside(ring, corner))) ? [item] : [];
  }
  const rings = cut.flat().map((each) => each.slice(0, -1).flat());
  return rings.length > 0 ? [{ ...item, rings }] : [];
}

/** The corners of a text. */
function cornersOfText({ at, width, height, rotation }: TextItem): Point[] {
  const turn = (rotation * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return [
    [0, 0],
    [width, 0],
    [width, height],
    [0, height],
  ].map(([along = 0, up = 0]) => ({ x: at.x + along * c - up * s, y: at.y + along * s + up * c }));
}

/**
 * What of an image lies within an outline, an image for each part of it. An image has one outline at most: one that has its own is
 * whole in another or left out.
 */
function cutImage(item: ImageItem, ring: Outline): ImageItem[] {
  const box = boundsOf(item);
  const corners = [box.x, box.y, right(box), box.y, right(box), top(box), box.x, top(box)];
  if (cornersOf(corners).every((corner) => isInside(ring, corner))) return [item];
  if (item.outline) return [];
  return partsOf(corners, ring).flatMap((outline) =>
    clippedImage(item, boundsOfPoints(outline)).map((each) => ({ ...each, outline })),
  );
}

/** What two outlines share, as outlines; the second one where that has holes or no answer. */
function partsOf(one: Outline, other: Outline): Outline[] {
  try {
    const shared = polygonClipping.intersection(evenOdd([one]), evenOdd([other]));
    return shared.every((rings) => rings.length === 1)
      ? shared.map(([ring = []]) => ring.slice(0, -1).flat())
      : [other];
  } catch {
    return [other];
  }
}

/**
 * What of an item lies within an outline: lines and arcs end at it, areas follow it, images are cut at it. Lettering is whole or
 * not there, since half of it says something else.
 */
export function cutByOutline(item: Item, ring: Outline): Item[] {
  switch (item.kind) {
    case 'stroke':
      return cutStroke(item, ring);
    case 'arc':
      return cutArc(item, ring);
    case 'fill':
      return cutFill(item, ring);
    case 'text':
      return cornersOfText(item).every((corner) => isInside(ring, corner)) ? [item] : [];
    case 'image':
      return cutImage(item, ring);
    case 'piece':
      return [];
  }
}
