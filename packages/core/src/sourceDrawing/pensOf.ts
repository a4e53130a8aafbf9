import type { PiecePen } from '../drawing';

/** Widths that differ by less are the same, in mm. */
const SAME_WEIGHT = 0.005;

const escaped = (words: string): string => words.replace(/[.+?^${}()|[\]\\]/g, '\\$&');

/** Whether a layer is called so; `*` stands for any letters, and capitals do not count. */
export const layerMatches = (layers: string, layer: string): boolean =>
  new RegExp(`^${escaped(layers).replaceAll('*', '.*')}$`, 'i').test(layer);

/** Finds the pen of a line by its layer and its width in the drawing; undefined for one that stays as it is. */
export function pensOf(pens: readonly PiecePen[] | undefined): (layer: string, weight: number) => PiecePen | undefined {
  if (!pens || pens.length === 0) return () => undefined;
  const known = new Map<string, Map<number, PiecePen | undefined>>();
  return (layer, weight) => {
    let byWeight = known.get(layer);
    if (!byWeight) known.set(layer, (byWeight = new Map<number, PiecePen | undefined>()));
    if (byWeight.has(weight)) return byWeight.get(weight);
    const pen = pens.find(
      (each) =>
        layerMatches(each.layers, layer) && (each.weight === undefined || Math.abs(each.weight - weight) < SAME_WEIGHT),
    );
    byWeight.set(weight, pen);
    return pen;
  };
}
