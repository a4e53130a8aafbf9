import type { Item } from '../drawing';
import { boundsOf, placed } from '../drawing';
import type { Point } from '../geometry';
import { around } from '../geometry';
import type { Linework } from './linework';

/** Linework in its box, with the place in it that was the drawing's origin. */
export interface BoxedLinework {
  width: number;
  height: number;
  linework: Linework[];
  origin: Point;
  /** Items that are no lines, arcs or areas. */
  left: number;
}

/** The lines, arcs and areas of a drawing in the box around them; undefined for one without extent. */
export function lineworkOf(items: readonly Item[]): BoxedLinework | undefined {
  const drawn = items.filter(({ kind }) => kind === 'stroke' || kind === 'arc' || kind === 'fill');
  const box = around(drawn.map(boundsOf));
  if (!box || Math.max(box.width, box.height) <= 0) return undefined;
  const linework = drawn.flatMap((item): Linework[] => {
    const at = placed(item, 1, -box.x, -box.y);
    switch (at.kind) {
      case 'stroke':
        return at.points.length >= 4 ? [{ kind: 'stroke', points: at.points, closed: at.closed }] : [];
      case 'arc': {
        const { centre, radius, from, to } = at;
        return radius > 0 ? [{ kind: 'arc', centre: [centre.x, centre.y], radius, from, to }] : [];
      }
      case 'fill':
        return [{ kind: 'fill', rings: at.rings }];
      default:
        return [];
    }
  });
  return {
    width: box.width,
    height: box.height,
    linework,
    origin: { x: -box.x, y: -box.y },
    left: items.length - drawn.length,
  };
}
