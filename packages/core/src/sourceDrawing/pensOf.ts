import type { PiecePen } from '../drawing';

/** Widths that differ by less are the same, in mm. */
const SAME_WEIGHT = 0.005;

const escaped = (words: string): string => words.replace(/[.+?^${}()|[\]\\]/g, '\\$&');

/** Whether a layer is called so; `*` stands for any letters, and capitals do not count. */
export const layerMatches = (layers: string, layer: string): boolean =>
  new RegExp(`^${escaped(layers).replaceAll('*', '.*')}$`, 'i').test(layer);

/** What a line is in the drawing that it comes from. */
interface DrawnLine {
  layer: string;
  /** Its width in mm; 0 where it has none of its own. */
  weight: number;
  /** Its colour by its number in DXF. */
  colour: number | undefined;
}

/** Finds the pen of a line by what it is in the drawing; undefined for one that stays as it is. */
export function pensOf(pens: readonly PiecePen[] | undefined): (line: DrawnLine) => PiecePen | undefined {
  if (!pens || pens.length === 0) return () => undefined;
  const known = new Map<string, PiecePen | undefined>();
  return ({ layer, weight, colour }) => {
    const key = `${weight} ${colour} ${layer}`;
    if (known.has(key)) return known.get(key);
    const pen = pens.find(
      (each) =>
        layerMatches(each.layers, layer) &&
        (each.weight === undefined || Math.abs(each.weight - weight) < SAME_WEIGHT) &&
        (each.was === undefined || each.was === colour),
    );
    known.set(key, pen);
    return pen;
  };
}
