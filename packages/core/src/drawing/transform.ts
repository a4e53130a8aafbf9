import type { Rect } from '../geometry';
import type { Item } from './drawing';

/** Moves an item by dx, dy after scaling it by `scale` about the origin. Line widths stay as they are. */
export function placed(item: Item, scale: number, dx: number, dy: number): Item {
  const moved = (points: readonly number[]): number[] => points.map((v, i) => v * scale + (i % 2 === 0 ? dx : dy));
  const rect = ({ x, y, width, height }: Rect): Rect => ({
    x: x * scale + dx,
    y: y * scale + dy,
    width: width * scale,
    height: height * scale,
  });
  switch (item.kind) {
    case 'image':
      return { ...item, ...rect(item), ...(item.clip ? { clip: rect(item.clip) } : {}) };
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
      };
  }
}
