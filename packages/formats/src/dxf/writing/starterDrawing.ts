import type { Drawing, OfficeStandard } from '@mendrel/core';
import { dashesOf, exportLayers, MM_PER, patternName, penWidth } from '@mendrel/core';
import { writeFile } from './dxfFile';
import { dxfName } from './pairs';
import { inUnits } from './sheetFile';
import type { DxfDimensionStyle, DxfLineType, DxfTextStyle } from './tables';

/** A title block of the starter drawing: a design solved for one size with its fields blank. */
export interface StarterBlock {
  name: string;
  drawing: Drawing;
}

/**
 * Writes a drawing that carries an office standard into any program that reads DXF: layers with pens and patterns, line
 * types, a text style a lettering role, dimension styles, and each title block as a block with attributes. Model space is
 * empty; the unit is the standard's.
 * @param fontFile file name of a typeface, which text styles refer to
 */
export function writeStarterDrawing(
  standard: OfficeStandard,
  blocks: readonly StarterBlock[],
  fontFile: (typeface: string) => string,
): string {
  const scale = standard.unit === 'in' ? 1 / MM_PER.in : 1;
  const roleStyles = new Map(standard.roles.map((role) => [role.id, dxfName(role.name)]));
  return writeFile({
    unit: standard.unit,
    extent: {
      width: Math.max(1, ...blocks.map(({ drawing }) => drawing.width * scale)),
      height: Math.max(1, ...blocks.map(({ drawing }) => drawing.height * scale)),
    },
    layers: exportLayers(standard).map(({ name, width, colour, pattern }) => ({
      name,
      width,
      colour,
      ...(pattern ? { lineType: dxfName(pattern.name) } : {}),
    })),
    lineTypes: lineTypesOf(standard, scale),
    textStyles: textStylesOf(standard, scale, fontFile),
    styleOf: (item) => roleStyles.get(item.role) ?? 'Standard',
    dimensionStyles: standard.dimensions.map((style): DxfDimensionStyle => ({
      name: dxfName(style.name),
      textStyle: dxfName(style.name),
      height: style.height * scale,
      arrow: style.terminatorSize * scale,
      tick: style.terminator === 'tick' ? style.terminatorSize * scale : 0,
      dot: style.terminator === 'dot',
      extension: style.extension * scale,
      gap: style.gap * scale,
      offset: style.offset * scale,
      width: penWidth(standard, style.pen),
      inFeet: style.unit === 'in',
    })),
    blocks: blocks.map(({ name, drawing }) => ({ name: dxfName(name), items: inUnits(drawing, scale).items })),
    inserted: [],
    items: [],
  });
}

/** Every pattern in every pen; patterns in mm are the same in all of them. */
function lineTypesOf(standard: OfficeStandard, scale: number): DxfLineType[] {
  const types = new Map<string, number[]>();
  for (const pattern of standard.patterns) {
    for (const pen of standard.pens) {
      const dashes = dashesOf(pattern, pen.width);
      if (dashes.length > 0) types.set(dxfName(patternName(pattern, pen.width)), dashes);
    }
  }
  return [...types].map(([name, dashes]) => ({ name, dashes: dashes.map((each) => each * scale) }));
}

/** One style a role, and one for the figures of each dimension style. */
function textStylesOf(standard: OfficeStandard, scale: number, fontFile: (typeface: string) => string): DxfTextStyle[] {
  return [
    ...standard.roles.map(({ name, typeface, height, widthFactor }) => ({
      name: dxfName(name),
      file: fontFile(typeface) || 'txt',
      height: height * scale,
      widthFactor,
    })),
    // The figures take their height from the dimension style, so their own is open.
    ...standard.dimensions.map(({ name, typeface }) => ({
      name: dxfName(name),
      file: fontFile(typeface) || 'txt',
      height: 0,
      widthFactor: 1,
    })),
  ];
}
