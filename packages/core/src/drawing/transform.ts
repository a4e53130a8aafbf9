import type { Point, Rect } from '../geometry';
import type { ImageItem, Item } from './drawing';

/** Moves an item by dx, dy after scaling it by `scale` about the origin. Line widths stay as they are. */
export function placed(item: Item, scale: number, dx: number, dy: number): Item {
  const moved = (points: readonly number[]): number[] => {
    const out = new Array<number>(points.length);
    for (let i = 0; i < points.length; i++) out[i] = (points[i] ?? 0) * scale + (i % 2 === 0 ? dx : dy);
    return out;
  };
  const rect = ({ x, y, width, height }: Rect): Rect => ({
    x: x * scale + dx,
    y: y * scale + dy,
    width: width * scale,
    height: height * scale,
  });
  switch (item.kind) {
    case 'image':
      return {
        ...item,
        ...rect(item),
        ...(item.clip ? { clip: rect(item.clip) } : {}),
        ...(item.outline ? { outline: moved(item.outline) } : {}),
      };
    case 'piece':
      return { ...item, ...rect(item), perUnit: item.perUnit * scale };
    case 'stroke':
      return { ...item, points: moved(item.points) };
    case 'fill':
      return { ...item, rings: item.rings.map(moved) };
    case 'arc':
      return {
        ...item,
        centre: { x: item.centre.x * scale + dx, y: item.centre.y * scale + dy },
        radius: item.radius * scale,
      };
    case 'text':
      return {
        ...item,
        at: { x: item.at.x * scale + dx, y: item.at.y * scale + dy },
        height: item.height * scale,
        width: item.width * scale,
        ...(item.runs
          ? { runs: item.runs.map((run) => ({ ...run, along: run.along * scale, width: run.width * scale })) }
          : {}),
      };
  }
}

/** Turns an item about the origin, counter-clockwise. Images cannot stand askew: they are turned by quarters. */
export function turned(item: Item, degrees: number): Item {
  if (degrees === 0) return item;
  const [c, s] = cosineAndSine(degrees);
  const point = ({ x, y }: Point): Point => ({ x: c * x - s * y, y: s * x + c * y });
  const moved = (points: readonly number[]): number[] => turnedPoints(points, [c, s]);
  switch (item.kind) {
    case 'image':
      return turnedImage(item, degrees);
    case 'piece':
      // Views stand upright on every sheet; nothing that is turned holds one.
      return item;
    case 'stroke':
      return { ...item, points: moved(item.points) };
    case 'fill':
      return { ...item, rings: item.rings.map(moved) };
    case 'arc':
      return { ...item, centre: point(item.centre), from: item.from + degrees, to: item.to + degrees };
    case 'text':
      return { ...item, at: point(item.at), rotation: (((item.rotation + degrees) % 360) + 360) % 360 };
  }
}

function turnedPoints(points: readonly number[], [c, s]: readonly [number, number]): number[] {
  const out = new Array<number>(points.length);
  for (let i = 0; i + 1 < points.length; i += 2) {
    const [x, y] = [points[i] ?? 0, points[i + 1] ?? 0];
    out[i] = c * x - s * y;
    out[i + 1] = s * x + c * y;
  }
  return out;
}

function turnedImage(item: ImageItem, degrees: number): ImageItem {
  const { turn: before = 0, ...rest } = item;
  const turn = (((before + Math.round(degrees / 90) * 90) % 360) + 360) % 360;
  return {
    ...rest,
    ...turnedBox(item, degrees),
    ...(item.clip ? { clip: turnedBox(item.clip, degrees) } : {}),
    ...(item.outline ? { outline: turnedPoints(item.outline, cosineAndSine(Math.round(degrees / 90) * 90)) } : {}),
    ...(turn === 90 || turn === 180 || turn === 270 ? { turn } : {}),
  };
}

/** A box turned about the origin, by the nearest quarter turn. */
export function turnedBox({ x, y, width, height }: Rect, degrees: number): Rect {
  const [c, s] = cosineAndSine(Math.round(degrees / 90) * 90);
  const corners = [
    [x, y],
    [x + width, y + height],
  ].map(([u = 0, v = 0]) => [c * u - s * v, s * u + c * v] as const);
  const [[x0, y0] = [0, 0], [x1, y1] = [0, 0]] = corners;
  return { x: Math.min(x0, x1), y: Math.min(y0, y1), width: Math.abs(x1 - x0), height: Math.abs(y1 - y0) };
}

/** Exact for quarter turns, so that level lines stay level. */
function cosineAndSine(degrees: number): [number, number] {
  const quarter = degrees / 90;
  if (Number.isInteger(quarter)) {
    return (
      [
        [1, 0],
        [0, 1],
        [-1, 0],
        [0, -1],
      ] as const
    )[((quarter % 4) + 4) % 4]?.slice() as [number, number];
  }
  const turn = (degrees * Math.PI) / 180;
  return [Math.cos(turn), Math.sin(turn)];
}
