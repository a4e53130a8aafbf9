import type { Drawing, ExportLayer } from '@mendrel/core';
import { writeFile } from './dxfFile';
import { dxfName } from './pairs';

/** What a sheet is written as DXF with. */
export interface DxfOptions {
  /** Name of the block that holds frame and title block. */
  blockName: string;
  /** The layers of the standard; layers that items use and this lacks are added. */
  layers: readonly Pick<ExportLayer, 'name' | 'width' | 'colour' | 'pattern'>[];
  /** File name of the typeface of a text, which the text style refers to. */
  fontFile: (typeface: string) => string;
}

/**
 * Writes a sheet as text DXF in mm. Frame and title block become a block whose fields are attributes, so that they stay
 * fields in whatever reads the file; views are linework beside it.
 */
export function writeDxf(drawing: Drawing, options: DxfOptions): string {
  const block = dxfName(options.blockName);
  const typefaces = new Set(drawing.items.flatMap((item) => (item.kind === 'text' ? [item.typeface] : [])));
  const styleName = (typeface: string): string => dxfName(typeface || 'Standard');
  const patterns = new Map(options.layers.flatMap(({ pattern }) => (pattern ? [[pattern.name, pattern.dashes]] : [])));
  return writeFile({
    unit: 'mm',
    extent: drawing,
    layers: options.layers.map(({ name, width, colour, pattern }) => ({
      name,
      width,
      colour,
      ...(pattern ? { lineType: dxfName(pattern.name) } : {}),
    })),
    lineTypes: [...patterns].map(([name, dashes]) => ({ name: dxfName(name), dashes })),
    textStyles: [...typefaces].map((typeface) => ({
      name: styleName(typeface),
      file: options.fontFile(typeface) || 'txt',
      height: 0,
      widthFactor: 1,
    })),
    styleOf: (item) => styleName(item.typeface),
    dimensionStyles: [],
    blocks: [{ name: block, items: drawing.items.filter((item) => item.part !== 'view') }],
    inserted: [block],
    items: drawing.items.filter((item) => item.part === 'view'),
  });
}
