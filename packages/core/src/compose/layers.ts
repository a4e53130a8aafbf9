import type { OfficeStandard } from '../standard';
import { penWidth } from '../standard';

/** What goes onto a layer of its own in an exported drawing. */
export type LayerUse = 'frame' | 'marks' | 'cells' | 'captions' | 'values' | 'pictures' | 'views';

/** The exported name of the layer for a use. */
export function layerName(standard: OfficeStandard, use: LayerUse): string {
  return standard.layers.find((layer) => layer.id === use)?.name ?? use.toUpperCase();
}

/** The layers of an exported drawing with their line widths in mm. */
export function exportLayers(standard: OfficeStandard): { name: string; width: number }[] {
  return standard.layers.map(({ name, pen }) => ({ name, width: penWidth(standard, pen) }));
}
