import type { StrokeItem, TextItem } from '../drawing';
import type { LegacyText } from '../intake/legacyText';

/** A line of an old drawing. */
export const oldLine = (points: number[], more: Partial<StrokeItem> = {}): StrokeItem => ({
  kind: 'stroke',
  layer: '0',
  part: 'block',
  points,
  closed: false,
  width: 0.25,
  ...more,
});

/** A rectangle of an old drawing, drawn as one line. */
export const oldBox = (x: number, y: number, width: number, height: number): StrokeItem =>
  oldLine([x, y, x + width, y, x + width, y + height, x, y + height], { closed: true });

/** A text of an old drawing, as wide as letters of its height usually are. */
export const oldText = (text: string, x: number, y: number, height: number, layer = '0'): TextItem => ({
  kind: 'text',
  layer,
  part: 'block',
  text,
  at: { x, y },
  height,
  width: text.length * height * 0.6,
  widthFactor: 1,
  rotation: 0,
  typeface: '',
  role: '',
});

/** A text of an old drawing as recognition sees it, in mm on paper. */
export const readOldText = (
  text: string,
  x: number,
  y: number,
  height = 2.5,
  more: Partial<LegacyText> = {},
): LegacyText => ({
  id: 0,
  text,
  at: { x, y },
  anchor: { x: x + 0.5, y: y + 0.5 },
  height,
  rotation: 0,
  align: 'left',
  layer: 'T',
  ...more,
});
