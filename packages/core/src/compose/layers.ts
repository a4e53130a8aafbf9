import type { Item } from '../drawing';
import type { LayerUse, OfficeStandard } from '../standard';
import { BLACK, dashesOf, patternName, penOf, penWidth } from '../standard';

/** The exported name of the layer for a use; the use's own word where no layer takes it. */
export function layerName(standard: OfficeStandard, use: LayerUse): string {
  return standard.layers.find((layer) => layer.holds.includes(use))?.name ?? use.toUpperCase();
}

/** A layer of an exported drawing: line width and dashes in mm, colour as #rrggbb. */
export interface ExportLayer {
  name: string;
  width: number;
  colour: string;
  pattern: { name: string; dashes: number[] } | undefined;
}

/** The layers of an exported drawing. */
export function exportLayers(standard: OfficeStandard): ExportLayer[] {
  return standard.layers.map(({ name, pen, pattern: id }) => {
    const width = penWidth(standard, pen);
    const pattern = standard.patterns.find((each) => each.id === id);
    const dashes = dashesOf(pattern, width);
    return {
      name,
      width,
      colour: penOf(standard, pen)?.colour ?? BLACK,
      pattern: pattern && dashes.length > 0 ? { name: patternName(pattern, width), dashes } : undefined,
    };
  });
}

/** What a pen leaves on paper: its width in mm and, unless it is black, its colour. */
export function inkOf(standard: OfficeStandard, id: string): { width: number; colour?: string } {
  const pen = penOf(standard, id);
  return { width: pen?.width ?? 0.25, ...colourOf(standard, id) };
}

/** How much something covers, of a content that says it in per cent. */
export const opacityOf = ({ opacity }: { opacity?: number | undefined }): { opacity?: number } =>
  opacity === undefined || opacity === 100 ? {} : { opacity: opacity / 100 };

/** The colour of a pen for lettering and fills; nothing for black. */
export function colourOf(standard: OfficeStandard, id: string): { colour?: string } {
  const colour = penOf(standard, id)?.colour ?? BLACK;
  return colour === BLACK ? {} : { colour };
}

/** Gives lines the dashes of their layer's pattern, by their own widths. */
export function withPatterns(items: readonly Item[], standard: OfficeStandard): Item[] {
  const patterns = new Map(
    standard.layers.map((layer) => [layer.name, standard.patterns.find((each) => each.id === layer.pattern)]),
  );
  return items.map((item) => {
    if (item.kind !== 'stroke' && item.kind !== 'arc') return item;
    const dashes = dashesOf(patterns.get(item.layer), item.width);
    return dashes.length === 0 ? item : { ...item, dashes };
  });
}
