import type { ArcItem, Item, StrokeItem } from '@mendrel/core';
import { placed } from '@mendrel/core';

/** A layer of the demo's drawings: the width of its lines in mm, and its dashes on paper. */
interface Layer {
  width: number;
  colour?: string;
  dashes?: readonly number[];
}

/** The layers of all drawings of the demo. */
export const LAYERS = {
  'A-WALL': { width: 0.5 },
  'A-WALL-PATT': { width: 0.13 },
  'A-GLAZ': { width: 0.25 },
  'A-DOOR': { width: 0.25 },
  'A-STRS': { width: 0.25 },
  'A-FURN': { width: 0.18 },
  'A-SANI': { width: 0.18 },
  'A-FLOR-PATT': { width: 0.09 },
  'A-CLNG': { width: 0.13 },
  'A-CLNG-LITE': { width: 0.25 },
  'A-ELEV': { width: 0.25 },
  'A-ELEV-OTLN': { width: 0.7 },
  'A-ELEV-PATT': { width: 0.09 },
  'A-ROOF': { width: 0.35 },
  'A-DETL': { width: 0.35 },
  'A-DETL-PATT': { width: 0.13 },
  'A-OVHD': { width: 0.25, dashes: [3, 1.5] },
  'S-COLS': { width: 0.5 },
  'S-BEAM': { width: 0.5 },
  'S-FNDN': { width: 0.35, dashes: [3, 1.5] },
  'S-GRID': { width: 0.13, dashes: [8, 1.5, 1, 1.5] },
  'S-GRID-IDEN': { width: 0.25 },
  'C-SITE': { width: 0.35 },
  'C-TOPO': { width: 0.13, dashes: [4, 2] },
  'C-WATR': { width: 0.13 },
  'L-PLNT': { width: 0.18 },
  'L-PVMT': { width: 0.13 },
  'A-ANNO-DIMS': { width: 0.13 },
  'A-ANNO-NOTE': { width: 0.18 },
  'A-AREA-IDEN': { width: 0.18 },
  'A-AREA': { width: 0.09 },
} as const satisfies Readonly<Record<string, Layer>>;

type Shape =
  | Pick<StrokeItem, 'kind' | 'points' | 'closed'>
  | Pick<ArcItem, 'kind' | 'centre' | 'radius' | 'from' | 'to'>;

export type LayerName = keyof typeof LAYERS;
export type Box = readonly [x0: number, y0: number, x1: number, y1: number];

/** A drawing in the making, in millimetres of the building. Letters are as high as they are to be at `scale`. */
export class Draft {
  readonly items: Item[] = [];

  /** @param scale the denominator of the scale that its letters are meant for */
  constructor(readonly scale: number) {}

  private add(layer: LayerName, shape: Shape): void {
    const { width, dashes }: Layer = LAYERS[layer];
    this.items.push({ ...shape, layer, part: 'view', width, ...(dashes ? { dashes: [...dashes] } : {}) });
  }

  /** Takes over what was drawn on another, moved. */
  take(other: Draft, dx: number, dy: number): this {
    for (const item of other.items) this.items.push(placed(item, 1, dx, dy));
    return this;
  }

  line(layer: LayerName, ...points: number[]): this {
    this.add(layer, { kind: 'stroke', points, closed: false });
    return this;
  }

  ring(layer: LayerName, ...points: number[]): this {
    this.add(layer, { kind: 'stroke', points, closed: true });
    return this;
  }

  box(layer: LayerName, [x0, y0, x1, y1]: Box): this {
    return this.ring(layer, x0, y0, x1, y0, x1, y1, x0, y1);
  }

  circle(layer: LayerName, x: number, y: number, radius: number): this {
    return this.arc(layer, x, y, radius, 0, 360);
  }

  arc(layer: LayerName, x: number, y: number, radius: number, from: number, to: number): this {
    this.add(layer, { kind: 'arc', centre: { x, y }, radius, from, to });
    return this;
  }

  fill(layer: LayerName, points: number[], colour?: string): this {
    this.items.push({ kind: 'fill', layer, part: 'view', rings: [points], ...(colour ? { colour } : {}) });
    return this;
  }

  /** A text; `height` in mm of paper at the scale of the draft. */
  text(
    layer: LayerName,
    words: string,
    x: number,
    y: number,
    {
      height = 2.5,
      align = 'centre',
      rotation = 0,
    }: { height?: number; align?: 'left' | 'centre' | 'right'; rotation?: number } = {},
  ): this {
    const size = height * this.scale;
    const width = words.length * size * 0.62;
    const along = { left: 0, centre: -width / 2, right: -width }[align];
    const turn = (rotation * Math.PI) / 180;
    this.items.push({
      kind: 'text',
      layer,
      part: 'view',
      text: words,
      at: { x: x + along * Math.cos(turn), y: y + along * Math.sin(turn) },
      height: size,
      width,
      widthFactor: 1,
      rotation,
      typeface: 'Public Sans',
      role: '',
      align,
    });
    return this;
  }

  /** Parallel lines within a box, at an angle of 0, 45, 90 or 135 degrees. */
  hatch(layer: LayerName, [x0, y0, x1, y1]: Box, angle: 0 | 45 | 90 | 135, step: number): this {
    if (angle === 0) for (let y = Math.ceil(y0 / step) * step; y < y1; y += step) this.line(layer, x0, y, x1, y);
    else if (angle === 90) for (let x = Math.ceil(x0 / step) * step; x < x1; x += step) this.line(layer, x, y0, x, y1);
    else {
      const slope = angle === 45 ? 1 : -1;
      const across = step * Math.SQRT2;
      // Lines y = slope·x + c through the box.
      const [low, high] = [y0 - slope * (slope > 0 ? x1 : x0), y1 - slope * (slope > 0 ? x0 : x1)];
      for (let c = Math.ceil(low / across) * across; c < high; c += across) {
        const [at0, at1] = [(y0 - c) / slope, (y1 - c) / slope];
        const [from, to] = [Math.max(x0, Math.min(at0, at1)), Math.min(x1, Math.max(at0, at1))];
        if (to - from > 1e-6) this.line(layer, from, slope * from + c, to, slope * to + c);
      }
    }
    return this;
  }

  /** A chain of dimensions along x or y, at a distance from what is measured. */
  dimensions(
    axis: 'x' | 'y',
    places: readonly number[],
    at: number,
    words = (mm: number) => String(Math.round(mm)),
  ): this {
    const [tick, gap] = [1.2 * this.scale, 0.8 * this.scale];
    const point = (along: number, off: number): [number, number] =>
      axis === 'x' ? [along, at + off] : [at + off, along];
    this.line('A-ANNO-DIMS', ...point((places[0] ?? 0) - tick, 0), ...point((places.at(-1) ?? 0) + tick, 0));
    places.forEach((place, i) => {
      this.line('A-ANNO-DIMS', ...point(place - tick, -tick), ...point(place + tick, tick));
      this.line('A-ANNO-DIMS', ...point(place, -2 * tick), ...point(place, 2 * tick));
      const next = places[i + 1];
      if (next === undefined) return;
      const [x, y] = point((place + next) / 2, axis === 'x' ? gap : -gap);
      this.text('A-ANNO-DIMS', words(next - place), x, y, { height: 2, rotation: axis === 'x' ? 0 : 90 });
    });
    return this;
  }

  /** Grid lines with their names in circles at both ends. */
  grid(axis: 'x' | 'y', places: readonly number[], names: readonly string[], from: number, to: number): this {
    const radius = 4 * this.scale;
    places.forEach((place, i) => {
      const point = (along: number): [number, number] => (axis === 'x' ? [place, along] : [along, place]);
      this.line('S-GRID', ...point(from), ...point(to));
      for (const [end, out] of [
        [from, -radius],
        [to, radius],
      ] as const) {
        const [x, y] = point(end + out);
        this.circle('S-GRID-IDEN', x, y, radius).text('S-GRID-IDEN', names[i] ?? '', x, y - 1.5 * this.scale, {
          height: 3,
        });
      }
    });
    return this;
  }

  /** A room's name, number and area about a point, and the outline that its area was taken from. */
  room(name: string, number: string, [x0, y0, x1, y1]: Box, unit: 'm2' | 'ft2' = 'm2'): this {
    const [x, y] = [(x0 + x1) / 2, (y0 + y1) / 2];
    const area = ((x1 - x0) * (y1 - y0)) / (unit === 'm2' ? 1e6 : 304.8 ** 2);
    const words = unit === 'm2' ? `${area.toFixed(1)} m²` : `${Math.round(area)} sq ft`;
    this.box('A-AREA', [x0, y0, x1, y1]);
    this.text('A-AREA-IDEN', name.toUpperCase(), x, y + 2 * this.scale, { height: 2.5 });
    return this.text('A-AREA-IDEN', `${number}   ${words}`, x, y - 2 * this.scale, { height: 1.8 });
  }

  /** A level with its triangle, to the right of a point. */
  level(words: string, x: number, y: number): this {
    const s = this.scale;
    this.line('A-ANNO-NOTE', x, y, x + 14 * s, y);
    this.fill('A-ANNO-NOTE', [x + 2 * s, y, x + 3.4 * s, y + 2 * s, x + 0.6 * s, y + 2 * s]);
    return this.text('A-ANNO-NOTE', words, x + 5 * s, y + 0.8 * s, { height: 2, align: 'left' });
  }

  /** A note with a line that leads to a point. */
  note(words: string, x: number, y: number, toX: number, toY: number): this {
    const s = this.scale;
    this.line('A-ANNO-NOTE', x - 1.5 * s, y + 0.8 * s, x - 5 * s, y + 0.8 * s, toX, toY);
    this.fill('A-ANNO-NOTE', [
      toX - 0.6 * s,
      toY - 0.6 * s,
      toX + 0.6 * s,
      toY - 0.6 * s,
      toX + 0.6 * s,
      toY + 0.6 * s,
      toX - 0.6 * s,
      toY + 0.6 * s,
    ]);
    return this.text('A-ANNO-NOTE', words, x, y, { height: 2, align: 'left' });
  }
}
