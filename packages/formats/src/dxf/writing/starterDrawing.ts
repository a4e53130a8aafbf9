import type { DimensionLettering, Drawing, LetteringRole, OfficeStandard, Scale } from '@mendrel/core';
import {
  dashesOf,
  exportLayers,
  isImperial,
  isUsual,
  MM_PER,
  parseScale,
  patternName,
  penWidth,
  realSizeTable,
} from '@mendrel/core';
import { writeFile } from './dxfFile';
import { dxfName } from './pairs';
import { inUnits } from './sheetFile';
import type { DxfDimensionStyle, DxfLineType, DxfTextStyle } from './tables';

/** A title block of the starter drawing: a design solved for one size with its fields blank. */
export interface StarterBlock {
  design: string;
  size: string;
  drawing: Drawing;
}

/**
 * Writes a drawing that carries an office standard into any program that reads DXF: layers with pens and patterns, line
 * types, text and dimension styles on paper and at real size for the usual scales, and each title block as a block with
 * attributes, placed on a page of its size. Model space is empty; the unit is the standard's.
 * @param fontFile file name of a typeface, which text styles refer to
 */
export function writeStarterDrawing(
  standard: OfficeStandard,
  blocks: readonly StarterBlock[],
  fontFile: (typeface: string) => string,
): string {
  const scale = standard.unit === 'in' ? 1 / MM_PER.in : 1;
  const roleStyles = new Map(standard.roles.map((role) => [role.id, dxfName(role.name)]));
  const blockName = ({ design, size }: StarterBlock): string => dxfName(`${design} ${size}`);
  const scales = standard.scales.map(parseScale).filter(isUsual);
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
    dimensionStyles: standard.dimensions.flatMap((style) => dimensionStylesOf(style, standard, scales, scale)),
    blocks: blocks.map((block) => ({ name: blockName(block), items: inUnits(block.drawing, scale).items })),
    inserted: [],
    items: [],
    layouts: blocks.map((block) => ({
      // Pages are looked for by their size; where several designs have it, by their names too.
      name: blocks.some((other) => other !== block && other.size === block.size)
        ? dxfName(`${block.size} ${block.design}`)
        : dxfName(block.size),
      paper: block.size,
      width: block.drawing.width * scale,
      height: block.drawing.height * scale,
      block: blockName(block),
    })),
  });
}

/** A scale as names may have it: 1_100, or 1_8in-1ft for 1/8" = 1'-0". */
const scaleName = ({ words }: Scale): string =>
  dxfName(
    words
      .replace(/"/g, 'in')
      .replace(/'(-0in)?/g, 'ft')
      .replace(/ ?= ?/g, '-'),
  );

/** A dimension lettering at its sizes on paper, and as large as a drawing at real size needs it for each scale. */
function dimensionStylesOf(
  style: DimensionLettering,
  standard: OfficeStandard,
  scales: readonly Scale[],
  perMm: number,
): DxfDimensionStyle[] {
  const name = dxfName(style.name);
  const onPaper: DxfDimensionStyle = {
    name,
    textStyle: name,
    height: style.height * perMm,
    arrow: style.terminatorSize * perMm,
    tick: style.terminator === 'tick' ? style.terminatorSize * perMm : 0,
    dot: style.terminator === 'dot',
    extension: style.extension * perMm,
    gap: style.gap * perMm,
    offset: style.offset * perMm,
    width: penWidth(standard, style.pen),
    inFeet: style.unit === 'in',
    scale: 1,
    precision: style.precision,
    fractions: style.fractions,
    leadingZeros: style.leadingZeros,
    trailingZeros: style.trailingZeros,
    movedOut: style.movedOut,
  };
  const own = scales.filter((scale) => isImperial(scale) === onPaper.inFeet);
  return [
    onPaper,
    ...own.map((scale) => ({ ...onPaper, name: `${name} ${scaleName(scale)}`, scale: scale.denominator })),
  ];
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

/**
 * One style a role as high as on paper, one a role and usual scale as high as a drawing at real size needs it, and one for
 * the figures of each dimension style.
 */
function textStylesOf(standard: OfficeStandard, scale: number, fontFile: (typeface: string) => string): DxfTextStyle[] {
  const styleOf = ({ name, typeface, widthFactor }: LetteringRole, height: number, suffix = ''): DxfTextStyle => ({
    name: dxfName(name) + suffix,
    file: fontFile(typeface) || 'txt',
    height: height * scale,
    widthFactor,
  });
  return [
    ...standard.roles.map((role) => styleOf(role, role.height)),
    ...(['metric', 'imperial'] as const).flatMap((system) => {
      const { roles, rows } = realSizeTable(standard, system);
      return roles.flatMap((role, i) =>
        rows
          .filter((row) => isUsual(row.scale))
          .map((row) => styleOf(role, row.heights[i] ?? role.height, ` ${scaleName(row.scale)}`)),
      );
    }),
    // The figures take their height from the dimension style, so their own is open.
    ...standard.dimensions.map(({ name, typeface }) => ({
      name: dxfName(name),
      file: fontFile(typeface) || 'txt',
      height: 0,
      widthFactor: 1,
    })),
  ];
}
