import type { Rect, WorkingUnit } from '@mendrel/core';
import { MOST_CORNERS, outlineRing } from '@mendrel/core';
import type { Chosen } from './chosenWindow';
import { typedReal } from './lengthWords';

/** What a window may be. */
export const SHAPES = { rectangle: 'Rectangle', circle: 'Circle', corners: 'Corners' } as const;
export type Shape = keyof typeof SHAPES;

export const shapeOf = ({ outline }: Pick<Chosen, 'outline'>): Shape =>
  outline === undefined ? 'rectangle' : outline === 'circle' ? 'circle' : 'corners';

/** A square about the middle of a window, as large as its shorter side. */
export function squareOf({ x, y, width, height }: Rect): Rect {
  const side = Math.min(width, height);
  return { x: x + (width - side) / 2, y: y + (height - side) / 2, width: side, height: side };
}

/** The window around corners, as x, y, x, y …; undefined where they enclose nothing. */
export function windowAround(corners: readonly number[]): Rect | undefined {
  const xs = corners.filter((_at, i) => i % 2 === 0);
  const ys = corners.filter((_at, i) => i % 2 === 1);
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  const [width, height] = [Math.max(...xs) - x, Math.max(...ys) - y];
  return xs.length >= 3 && width > 0 && height > 0 ? { x, y, width, height } : undefined;
}

/** What is chosen with a window of another shape; corners begin as those of the rectangle. */
export function shapedAs(chosen: Chosen, shape: Shape): Chosen {
  const rest = { ...chosen };
  delete rest.outline;
  if (shape === 'rectangle') return rest;
  if (shape === 'circle') return { ...rest, window: squareOf(rest.window), outline: 'circle' };
  return { ...rest, outline: outlineRing(rest.window, undefined) };
}

/** What is chosen with corners of its own. */
export function withCorners(chosen: Chosen, corners: readonly number[]): Chosen | undefined {
  const window = windowAround(corners);
  return window && corners.length <= 2 * MOST_CORNERS ? { ...chosen, window, outline: corners } : undefined;
}

/** What is chosen with another window; a round one stays round, corners move and stretch with it. */
export function withWindow(chosen: Chosen, window: Rect): Chosen {
  const { outline, window: before } = chosen;
  if (outline === undefined) return { ...chosen, window };
  if (outline === 'circle') {
    // The side that was changed is that of the square.
    const side = window.width !== before.width ? window.width : window.height;
    return { ...chosen, window: { ...window, width: side, height: side } };
  }
  const moved = outline.map((at, i) =>
    i % 2 === 0
      ? window.x + ((at - before.x) / before.width) * window.width
      : window.y + ((at - before.y) / before.height) * window.height,
  );
  return { ...chosen, window, outline: moved };
}

/**
 * Corners as they are typed: pairs of lengths in the building, from the lower left corner of what is drawn, with a semicolon
 * between two pairs. In units of the drawing, as x, y, x, y …; undefined for what cannot be read.
 */
export function typedCorners(text: string, { space, unit }: Chosen, works: WorkingUnit): number[] | undefined {
  const corners: number[] = [];
  for (const pair of text.split(';').filter((each) => each.trim() !== '')) {
    const [x, y, ...more] = pair.split(',').map((each) => typedReal(each.trim(), works));
    if (x === undefined || y === undefined || more.length > 0) return undefined;
    corners.push(space.box.x + x / unit, space.box.y + y / unit);
  }
  return corners.length >= 6 ? corners : undefined;
}
