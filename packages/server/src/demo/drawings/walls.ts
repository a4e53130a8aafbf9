import type { Box, Draft, LayerName } from './drafting';

/** What walls are made of: boxes that stand, and openings in them. */
export interface Walls {
  solid: readonly Box[];
  openings: readonly Box[];
}

/** Draws walls as one body: their outline where they end, and a hatch within. */
export function drawWalls(
  draft: Draft,
  { solid, openings }: Walls,
  layers: { outline: LayerName; pattern: LayerName } = { outline: 'A-WALL', pattern: 'A-WALL-PATT' },
  step = 2 * draft.scale,
): void {
  const boxes = [...solid, ...openings];
  const places = (of: (box: Box) => number[]): number[] => [...new Set(boxes.flatMap(of))].sort((a, b) => a - b);
  const xs = places(([x0, , x1]) => [x0, x1]);
  const ys = places(([, y0, , y1]) => [y0, y1]);
  const holds = (list: readonly Box[], x: number, y: number): boolean =>
    list.some(([x0, y0, x1, y1]) => x > x0 && x < x1 && y > y0 && y < y1);
  const stands = (i: number, j: number): boolean => {
    if (i < 0 || j < 0 || i + 1 >= xs.length || j + 1 >= ys.length) return false;
    const [x, y] = [(xs[i]! + xs[i + 1]!) / 2, (ys[j]! + ys[j + 1]!) / 2];
    return holds(solid, x, y) && !holds(openings, x, y);
  };
  const grid = xs.map((_, i) => ys.map((__, j) => stands(i, j)));
  const at = (i: number, j: number): boolean => grid[i]?.[j] ?? false;
  // Edges lie between a cell that stands and one that does not; those in a row become one line.
  for (let j = 0; j < ys.length; j++)
    runs(
      xs.length - 1,
      (i) => at(i, j) !== at(i, j - 1),
      (from, to) => draft.line(layers.outline, xs[from]!, ys[j]!, xs[to]!, ys[j]!),
    );
  for (let i = 0; i < xs.length; i++)
    runs(
      ys.length - 1,
      (j) => at(i, j) !== at(i - 1, j),
      (from, to) => draft.line(layers.outline, xs[i]!, ys[from]!, xs[i]!, ys[to]!),
    );
  for (let j = 0; j + 1 < ys.length; j++)
    runs(
      xs.length - 1,
      (i) => at(i, j),
      (from, to) => draft.hatch(layers.pattern, [xs[from]!, ys[j]!, xs[to]!, ys[j + 1]!], 45, step),
    );
}

function runs(count: number, holds: (i: number) => boolean, each: (from: number, to: number) => void): void {
  let from: number | undefined;
  for (let i = 0; i <= count; i++) {
    const here = i < count && holds(i);
    if (here) from ??= i;
    else if (from !== undefined) {
      each(from, i);
      from = undefined;
    }
  }
}

/** A wall along x or y, its axis in the middle. */
export const wall = (x0: number, y0: number, x1: number, y1: number, thick: number): Box => [
  Math.min(x0, x1) - thick / 2,
  Math.min(y0, y1) - thick / 2,
  Math.max(x0, x1) + thick / 2,
  Math.max(y0, y1) + thick / 2,
];

type Side = 'n' | 's' | 'e' | 'w';

/** An opening of a door in a wall along x (opening to n or s) or y (to e or w); the leaf and its swing are drawn. */
export function door(
  draft: Draft,
  openings: Box[],
  x: number,
  y: number,
  to: Side,
  { width = 900, thick = 300, double = false }: { width?: number; thick?: number; double?: boolean } = {},
): void {
  const along = to === 'n' || to === 's';
  const half = width / 2;
  openings.push(along ? [x - half, y - thick, x + half, y + thick] : [x - thick, y - half, x + thick, y + half]);
  const leaf = double ? half : width;
  for (const hinge of double ? [-1, 1] : [-1]) {
    const [hx, hy] = along ? [x + hinge * half, y] : [x, y + hinge * half];
    const out = { n: 90, s: 270, e: 0, w: 180 }[to];
    const radians = (out * Math.PI) / 180;
    draft.line('A-DOOR', hx, hy, hx + leaf * Math.cos(radians), hy + leaf * Math.sin(radians));
    const closed = along ? (hinge < 0 ? 0 : 180) : hinge < 0 ? 90 : 270;
    const sweep = (((out - closed) % 360) + 360) % 360;
    if (sweep === 90) draft.arc('A-DOOR', hx, hy, leaf, closed, closed + 90);
    else draft.arc('A-DOOR', hx, hy, leaf, out, out + 90);
  }
}

/** Glazing in a wall along x or y, with its frame and two panes. */
export function glazing(draft: Draft, openings: Box[], [x0, y0, x1, y1]: Box, bay = 1500): void {
  openings.push([x0, y0, x1, y1]);
  draft.box('A-GLAZ', [x0, y0, x1, y1]);
  if (x1 - x0 > y1 - y0) {
    const y = (y0 + y1) / 2;
    draft.line('A-GLAZ', x0, y - 20, x1, y - 20).line('A-GLAZ', x0, y + 20, x1, y + 20);
    for (let x = x0 + bay; x < x1 - 1; x += bay) draft.box('A-GLAZ', [x - 30, y - 70, x + 30, y + 70]);
  } else {
    const x = (x0 + x1) / 2;
    draft.line('A-GLAZ', x - 20, y0, x - 20, y1).line('A-GLAZ', x + 20, y0, x + 20, y1);
    for (let y = y0 + bay; y < y1 - 1; y += bay) draft.box('A-GLAZ', [x - 70, y - 30, x + 70, y + 30]);
  }
}

/** A straight flight of stairs going up along x, with its arrow and the line where it is cut. */
export function stairs(draft: Draft, [x0, y0, x1, y1]: Box, treads: number): void {
  draft.box('A-STRS', [x0, y0, x1, y1]);
  const going = (x1 - x0) / treads;
  for (let i = 1; i < treads; i++) draft.line('A-STRS', x0 + i * going, y0, x0 + i * going, y1);
  const y = (y0 + y1) / 2;
  draft.circle('A-STRS', x0 + going / 2, y, 60);
  draft.line('A-STRS', x0 + going / 2, y, x1 - going, y, x1 - 2 * going, y + 150);
  draft.line('A-STRS', x1 - going, y, x1 - 2 * going, y - 150);
  const cut = x0 + (x1 - x0) * 0.6;
  draft.line('A-STRS', cut - 250, y0 - 150, cut - 60, y - 120, cut + 60, y + 120, cut + 250, y1 + 150);
}

/** A water closet against a wall to the north, a basin, or a row of seats. */
export function closet(draft: Draft, x: number, y: number): void {
  draft.box('A-SANI', [x - 190, y - 160, x + 190, y]);
  draft.arc('A-SANI', x, y - 380, 180, 180, 360).line('A-SANI', x - 180, y - 380, x - 180, y - 160);
  draft.line('A-SANI', x + 180, y - 380, x + 180, y - 160);
}

export function basin(draft: Draft, x: number, y: number): void {
  draft
    .box('A-SANI', [x - 250, y, x + 250, y + 420])
    .circle('A-SANI', x, y + 220, 150)
    .circle('A-SANI', x, y + 360, 25);
}

export function bench(draft: Draft, x: number, y: number, seats: number): void {
  draft.box('A-FURN', [x, y, x + seats * 550, y + 120]);
  for (let i = 0; i < seats; i++) draft.box('A-FURN', [x + i * 550 + 25, y + 140, x + (i + 1) * 550 - 25, y + 600]);
}

export function table(draft: Draft, x: number, y: number): void {
  draft.circle('A-FURN', x, y, 400);
  for (const turn of [45, 135, 225, 315]) {
    const radians = (turn * Math.PI) / 180;
    const [cx, cy] = [x + 650 * Math.cos(radians), y + 650 * Math.sin(radians)];
    draft.circle('A-FURN', cx, cy, 210);
  }
}
