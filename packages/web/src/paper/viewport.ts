import type { Rect } from '@mendrel/core';

/** How paper is shown: screen x = x + mm * scale, with y down from the paper's upper edge. */
export interface Viewport {
  scale: number;
  x: number;
  y: number;
}

const ROOM = 26;

/** The view that shows a rectangle of the paper (mm, y up) as large as a window of pixels allows. */
export function viewportFor(
  rect: Rect,
  paperHeight: number,
  window: { width: number; height: number },
  room = ROOM,
): Viewport {
  const width = Math.max(40, window.width - 2 * room);
  const height = Math.max(40, window.height - 2 * room);
  const scale = Math.min(width / rect.width, height / rect.height);
  return {
    scale,
    x: (window.width - rect.width * scale) / 2 - rect.x * scale,
    y: (window.height - rect.height * scale) / 2 - (paperHeight - rect.y - rect.height) * scale,
  };
}

/** A place on screen in mm on paper, y up. */
export function onPaper(viewport: Viewport, paperHeight: number, px: number, py: number): { x: number; y: number } {
  return { x: (px - viewport.x) / viewport.scale, y: paperHeight - (py - viewport.y) / viewport.scale };
}

/** A place on paper (mm, y up) in pixels of the window. */
export function onScreen(viewport: Viewport, paperHeight: number, x: number, y: number): { x: number; y: number } {
  return { x: viewport.x + x * viewport.scale, y: viewport.y + (paperHeight - y) * viewport.scale };
}
