import type { Drawing, ImageItem } from '@mendrel/core';

/** A red PNG of 4 by 2 pixels, base64. */
export const RED_PNG =
  'iVBORw0KGgoAAAANSUhEUgAAAAQAAAACCAIAAADwyuo0AAAAEElEQVR4nGM4IScHRwzIHABvCgghBqXSdgAAAABJRU5ErkJggg==';

/** An image of 80 by 40 mm on A4, cut to a square of 40 mm in its middle. */
const item: ImageItem = {
  kind: 'image',
  name: 'Mark',
  type: 'png',
  file: { data: RED_PNG },
  x: 20,
  y: 100,
  width: 80,
  height: 40,
  clip: { x: 40, y: 100, width: 40, height: 40 },
  layer: 'PICTURES',
  part: 'block',
};

export const imageDrawing: Drawing = { width: 210, height: 297, items: [item] };
