import type { Drawing, ExportLayer, WorkingUnit } from '@mendrel/core';
import { MM_PER, placed } from '@mendrel/core';
import { writeFile } from './dxfFile';
import { dxfName } from './pairs';
import type { PictureFiles } from './pictureFiles';

/** What a sheet is written as DXF with. */
export interface DxfOptions {
  /** Name of the block that holds frame and title block. */
  blockName: string;
  /** The layers of the standard; layers that items use and this lacks are added. */
  layers: readonly Pick<ExportLayer, 'name' | 'width' | 'colour' | 'pattern'>[];
  /** File name of the typeface of a text, which the text style refers to. */
  fontFile: (typeface: string) => string;
  /** Files that lie beside the DXF file, which then refers to them; without them images leave their outlines. */
  pictures?: PictureFiles;
  /** The unit of the file; millimetres when left out. */
  unit?: WorkingUnit;
}

/**
 * Writes a sheet as text DXF at true size. Frame and title block become a block whose fields are attributes, so that they stay
 * fields in whatever reads the file; views are linework beside it.
 */
export function writeDxf(sheet: Drawing, options: DxfOptions): string {
  const { unit = 'mm' } = options;
  const drawing = unit === 'mm' ? sheet : inUnits(sheet, 1 / MM_PER.in);
  const block = dxfName(options.blockName);
  const typefaces = new Set(drawing.items.flatMap((item) => (item.kind === 'text' ? [item.typeface] : [])));
  const styleName = (typeface: string): string => dxfName(typeface || 'Standard');
  const patterns = new Map(options.layers.flatMap(({ pattern }) => (pattern ? [[pattern.name, pattern.dashes]] : [])));
  return writeFile({
    unit,
    extent: drawing,
    layers: options.layers.map(({ name, width, colour, pattern }) => ({
      name,
      width,
      colour,
      ...(pattern ? { lineType: dxfName(pattern.name) } : {}),
    })),
    lineTypes: [...patterns].map(([name, dashes]) => ({
      name: dxfName(name),
      dashes: unit === 'mm' ? dashes : dashes.map((each) => each / MM_PER.in),
    })),
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
    layouts: [],
    ...(options.pictures ? { pictures: options.pictures } : {}),
  });
}

/** A drawing in other units than millimetres; line widths stay what they are on paper. */
export function inUnits(drawing: Drawing, scale: number): Drawing {
  return {
    width: drawing.width * scale,
    height: drawing.height * scale,
    items: drawing.items.map((item) => ({
      ...placed(item, scale, 0, 0),
      // Lengths on paper of dashes follow the unit like everything else.
      ...('dashes' in item && item.dashes ? { dashes: item.dashes.map((each) => each * scale) } : {}),
    })),
  };
}
