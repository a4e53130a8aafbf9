import type { Item, TextItem } from '../drawing';
import type { Typefaces } from '../lettering';
import { textWidth } from '../lettering';

/** Specimens are drawn on layer 0: they are looked at and printed, not exported as sheets. */
const LAYER = '0';

/** A straight line of a specimen, in mm. */
export const stroke = (points: number[], width: number, more: { colour?: string; dashes?: number[] } = {}): Item => ({
  kind: 'stroke',
  points,
  closed: false,
  width,
  layer: LAYER,
  part: 'block',
  ...more,
});

/** A closed outline of a specimen. */
export const outline = (points: number[], width: number): Item => ({
  kind: 'stroke',
  points,
  closed: true,
  width,
  layer: LAYER,
  part: 'block',
});

/** A filled shape of a specimen. */
export const fill = (ring: number[], colour?: string): Item => ({
  kind: 'fill',
  rings: [ring],
  layer: LAYER,
  part: 'block',
  ...(colour ? { colour } : {}),
});

/** How a line of lettering is set. */
export interface Setting {
  typeface: string;
  height: number;
  widthFactor?: number;
  colour?: string;
}

/** A line of lettering from its start, its middle or its end; nothing where the typeface is not there. */
export function lettered(
  text: string,
  x: number,
  y: number,
  { typeface, height, widthFactor = 1, colour }: Setting,
  typefaces: Typefaces,
  anchor: 'start' | 'middle' | 'end' = 'start',
): TextItem[] {
  const face = typefaces.get(typeface);
  if (!face || text === '') return [];
  const width = textWidth(face, text, height, widthFactor);
  const back = { start: 0, middle: width / 2, end: width }[anchor];
  return [
    {
      kind: 'text',
      text,
      at: { x: x - back, y },
      height,
      width,
      widthFactor,
      rotation: 0,
      typeface,
      role: '',
      layer: LAYER,
      part: 'block',
      ...(colour ? { colour } : {}),
    },
  ];
}
