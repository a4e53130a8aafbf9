import type { Item } from '../../drawing';
import { placed, turned } from '../../drawing';
import type { PlacedOf } from '../../layout';
import { ownSymbolOf, symbolTurn } from '../../layout';
import { asItem } from '../../linework';
import { penFor } from '../../standard';
import { inkOf, layerName } from '../layers';
import type { DrawKind, DrawWith } from './kind';

/** A symbol drawn in a box of its width and height, from points whose unit is the height. */
class Sketch {
  readonly items: Item[] = [];
  constructor(
    private readonly at: PlacedOf<'symbol'>,
    private readonly base: { layer: string; part: 'block'; cell: string },
    private readonly ink: { width: number; colour?: string },
  ) {}

  private points(list: readonly number[]): number[] {
    return list.map((value, i) => (i % 2 === 0 ? this.at.x : this.at.y) + value * this.at.height);
  }
  stroke(list: readonly number[], closed = false): void {
    this.items.push({ ...this.base, kind: 'stroke', points: this.points(list), closed, ...this.ink });
  }
  fill(list: readonly number[]): void {
    this.items.push({ ...this.base, kind: 'fill', rings: [this.points(list)] });
  }
  circle(x: number, y: number, radius: number): void {
    const [cx = 0, cy = 0] = this.points([x, y]);
    const { height } = this.at;
    const centre = { x: cx, y: cy };
    this.items.push({ ...this.base, kind: 'arc', centre, radius: radius * height, from: 0, to: 360, ...this.ink });
  }
}

/** A symbol as linework. What data turns, such as the north arrow, stands off the top of the sheet by its degrees, clockwise. */
export const symbolItems: DrawKind<PlacedOf<'symbol'>> = (at, { standard, values }) => {
  const base = { layer: layerName(standard, 'pictures'), part: 'block', cell: at.cell } as const;
  const sketch = new Sketch(at, base, inkOf(standard, penFor(standard, 'fine').id));
  switch (at.content.symbol) {
    case 'north':
      // North is where it is, however the symbol stands in its cell.
      north(sketch, symbolTurn(at.content, values) + at.content.rotation);
      break;
    case 'first angle':
      projection(sketch, 'first');
      break;
    case 'third angle':
      projection(sketch, 'third');
      break;
    case 'own':
      return ownItems(at, base, { standard, values });
  }
  return sketch.items;
};

/** A symbol of the office's own, turned about its base point. */
function ownItems(
  at: PlacedOf<'symbol'>,
  base: { layer: string; part: 'block'; cell: string },
  { standard, values }: Pick<DrawWith, 'standard' | 'values'>,
): Item[] {
  const own = ownSymbolOf(at.content, standard);
  if (!own) return [];
  const scale = at.height / own.height;
  const [x, y] = [at.x + own.base.x * scale, at.y + own.base.y * scale];
  // What data turns is where it is, however the symbol stands in its cell.
  const turn = at.content.turnedBy === undefined ? 0 : symbolTurn(at.content, values) + at.content.rotation;
  const ink = inkOf(standard, penFor(standard, 'fine').id);
  return own.linework.map((piece) => {
    const fromBase = placed(asItem(piece, base, ink), scale, -own.base.x * scale, -own.base.y * scale);
    return placed(turned(fromBase, -turn), 1, x, y);
  });
}

/** A circle with a needle, one half of it filled. */
function north(sketch: Sketch, angle: number): void {
  const turn = (-angle * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const turned = (points: readonly number[]): number[] => {
    const result: number[] = [];
    for (let i = 0; i < points.length; i += 2) {
      const [x, y] = [points[i] ?? 0, points[i + 1] ?? 0];
      result.push(0.5 + x * c - y * s, 0.5 + x * s + y * c);
    }
    return result;
  };
  sketch.circle(0.5, 0.5, 0.36);
  sketch.fill(turned([0, 0.48, 0.13, -0.34, 0, -0.22]));
  sketch.stroke(turned([0, 0.48, 0, -0.22, -0.13, -0.34]), true);
}

/**
 * The truncated cone of ISO 5456-2 (from memory): its side view and its end view, which stands on the side away from the
 * viewer in first angle projection and on the viewer's side in third.
 */
function projection(sketch: Sketch, angle: 'first' | 'third'): void {
  const cone = angle === 'first' ? 0.1 : 1.2;
  const rings = angle === 'first' ? 1.7 : 0.5;
  // The side view narrows towards the left.
  sketch.stroke([cone, 0.28, cone + 0.9, 0.1, cone + 0.9, 0.9, cone, 0.72], true);
  sketch.circle(rings, 0.5, 0.4);
  sketch.circle(rings, 0.5, 0.22);
  sketch.stroke([cone - 0.06, 0.5, cone + 0.96, 0.5]);
  sketch.stroke([rings - 0.46, 0.5, rings + 0.46, 0.5]);
  sketch.stroke([rings, 0.04, rings, 0.96]);
}
