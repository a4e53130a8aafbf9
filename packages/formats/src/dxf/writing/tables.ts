import { FRACTION_HEIGHT } from '@mendrel/core';
import type { Pairs } from './pairs';
import { dxfLineWeight, trueColour } from './pairs';

/** A layer; width in mm, colour as #rrggbb. */
export interface DxfLayer {
  name: string;
  width: number;
  colour?: string;
  lineType?: string;
}

/** Dash, gap, dash, gap … in drawing units. */
export interface DxfLineType {
  name: string;
  dashes: readonly number[];
}

/** A text style; height in drawing units, 0 for texts that bring their own. */
export interface DxfTextStyle {
  name: string;
  file: string;
  height: number;
  widthFactor: number;
}

/** A dimension style; sizes in drawing units. */
export interface DxfDimensionStyle {
  name: string;
  textStyle: string;
  height: number;
  arrow: number;
  /** Size of ticks; 0 for arrows or dots. */
  tick: number;
  dot: boolean;
  extension: number;
  gap: number;
  offset: number;
  width: number;
  /** Feet and inches, or plain figures. */
  inFeet: boolean;
  /** What sizes are multiplied with in the drawing: 1 on paper, 100 in a drawing at real size that prints 1:100. */
  scale: number;
  /** Decimals, or the power of two that fractions are rounded to. */
  precision: number;
  fractions: 'stacked' | 'slanted' | 'in line';
  leadingZeros: boolean;
  trailingZeros: boolean;
  movedOut: 'ends' | 'figures' | 'both' | 'whichever fits';
}

export interface DxfTables {
  layers: readonly DxfLayer[];
  lineTypes: readonly DxfLineType[];
  textStyles: readonly DxfTextStyle[];
  dimensionStyles: readonly DxfDimensionStyle[];
  /** Block records by name, with their handles and those of the page layouts they are. */
  blocks: readonly (readonly [name: string, handle: string, layout?: string])[];
}

/** Of the colours that every reader knows by number, the one that stands in where it cannot show a true colour. */
const NUMBERED: readonly [number: number, rgb: readonly [number, number, number]][] = [
  [7, [0, 0, 0]],
  [1, [255, 0, 0]],
  [2, [255, 255, 0]],
  [3, [0, 255, 0]],
  [4, [0, 255, 255]],
  [5, [0, 0, 255]],
  [6, [255, 0, 255]],
  [8, [128, 128, 128]],
];

function colourNumber(colour: number): number {
  const [r, g, b] = [colour >> 16, (colour >> 8) & 255, colour & 255];
  const far = ([x, y, z]: readonly [number, number, number]): number => Math.hypot(x - r, y - g, z - b);
  return NUMBERED.reduce((best, each) => (far(each[1]) < far(best[1]) ? each : best), NUMBERED[0] ?? [7, [0, 0, 0]])[0];
}

function table(out: Pairs, name: string, count: number, body: (owner: string) => void, dimensionStyles = false): void {
  const handle = out.handle();
  out.add(0, 'TABLE').add(2, name).add(5, handle).add(330, '0').add(100, 'AcDbSymbolTable').add(70, count);
  if (dimensionStyles) out.add(100, 'AcDbDimStyleTable');
  body(handle);
  out.add(0, 'ENDTAB');
}

function record(out: Pairs, kind: string, owner: string, subclass: string, name: string, handle = out.handle()): Pairs {
  return out
    .add(0, kind)
    .add(5, handle)
    .add(330, owner)
    .add(100, 'AcDbSymbolTableRecord')
    .add(100, subclass)
    .add(2, name);
}

/** Writes the tables section's content. @param plotStyles handle of the placeholder that layers refer to */
export function writeTables(out: Pairs, tables: DxfTables, plotStyles: string): void {
  table(out, 'VPORT', 0, () => undefined);
  writeLineTypes(out, tables.lineTypes);
  writeLayers(out, tables.layers, plotStyles);
  const styleHandles = writeTextStyles(out, tables.textStyles);
  table(out, 'VIEW', 0, () => undefined);
  table(out, 'UCS', 0, () => undefined);
  table(out, 'APPID', 1, (owner) => {
    record(out, 'APPID', owner, 'AcDbRegAppTableRecord', 'ACAD').add(70, 0);
  });
  writeDimensionStyles(out, tables, styleHandles);
  table(out, 'BLOCK_RECORD', tables.blocks.length, (owner) => {
    for (const [name, handle, layout = '0'] of tables.blocks) {
      record(out, 'BLOCK_RECORD', owner, 'AcDbBlockTableRecord', name, handle).add(340, layout);
    }
  });
}

function writeLineTypes(out: Pairs, lineTypes: readonly DxfLineType[]): void {
  const all: DxfLineType[] = [
    ...['ByBlock', 'ByLayer', 'Continuous'].map((name) => ({ name, dashes: [] })),
    ...lineTypes,
  ];
  table(out, 'LTYPE', all.length, (owner) => {
    for (const { name, dashes } of all) {
      record(out, 'LTYPE', owner, 'AcDbLinetypeTableRecord', name).add(70, 0);
      out.add(3, dashes.map((each) => Number(each.toFixed(3))).join(', ')).add(72, 65);
      out.add(73, dashes.length).add(
        40,
        dashes.reduce((sum, each) => sum + each, 0),
      );
      // Dashes count positive and gaps negative; a dash of nothing is a dot.
      dashes.forEach((dash, i) => out.add(49, i % 2 === 0 ? dash : -dash).add(74, 0));
    }
  });
}

function writeLayers(out: Pairs, given: readonly DxfLayer[], plotStyles: string): void {
  const layers: DxfLayer[] = [{ name: '0', width: 0.25 }, ...given.filter((layer) => layer.name !== '0')];
  table(out, 'LAYER', layers.length, (owner) => {
    for (const layer of layers) {
      const colour = trueColour(layer.colour);
      record(out, 'LAYER', owner, 'AcDbLayerTableRecord', layer.name)
        .add(70, 0)
        .add(62, colour === undefined ? 7 : colourNumber(colour));
      if (colour !== undefined) out.add(420, colour);
      out
        .add(6, layer.lineType ?? 'Continuous')
        .add(370, dxfLineWeight(layer.width))
        .add(390, plotStyles);
    }
  });
}

function writeTextStyles(out: Pairs, given: readonly DxfTextStyle[]): Map<string, string> {
  const styles = [{ name: 'Standard', file: 'txt', height: 0, widthFactor: 1 }, ...given];
  const handles = new Map<string, string>();
  const unique = styles.filter((style, i) => styles.findIndex((each) => each.name === style.name) === i);
  table(out, 'STYLE', unique.length, (owner) => {
    for (const { name, file, height, widthFactor } of unique) {
      const handle = out.handle();
      handles.set(name, handle);
      record(out, 'STYLE', owner, 'AcDbTextStyleTableRecord', name, handle).add(70, 0).add(40, height);
      out
        .add(41, widthFactor)
        .add(50, 0)
        .add(71, 0)
        .add(42, height || 2.5)
        .add(3, file)
        .add(4, '');
    }
  });
  return handles;
}

/** How the format numbers fractions. */
const FRACTIONS: Record<DxfDimensionStyle['fractions'], number> = { stacked: 0, slanted: 1, 'in line': 2 };

/** How the format numbers what goes outside first where there is no room. */
const MOVED_OUT: Record<DxfDimensionStyle['movedOut'], number> = { both: 0, ends: 1, figures: 2, 'whichever fits': 3 };

/** Which zeros are left out: of feet and inches by one number for each of four cases, of decimals by two bits. */
function zerosOf({ inFeet, leadingZeros, trailingZeros }: DxfDimensionStyle): number {
  if (!inFeet) return (leadingZeros ? 0 : 4) + (trailingZeros ? 0 : 8);
  if (leadingZeros) return trailingZeros ? 1 : 2;
  return trailingZeros ? 3 : 0;
}

function writeDimensionStyles(out: Pairs, { dimensionStyles, blocks }: DxfTables, styles: Map<string, string>): void {
  const dot = blocks.find(([name]) => name === DOT_BLOCK)?.[1];
  const start = (owner: string, name: string): Pairs =>
    out
      .add(0, 'DIMSTYLE')
      .add(105, out.handle())
      .add(330, owner)
      .add(100, 'AcDbSymbolTableRecord')
      .add(100, 'AcDbDimStyleTableRecord')
      .add(2, name)
      .add(70, 0);
  table(
    out,
    'DIMSTYLE',
    dimensionStyles.length + 1,
    (owner) => {
      start(owner, 'Standard');
      for (const style of dimensionStyles) {
        start(owner, style.name)
          .add(40, style.scale)
          .add(41, style.arrow)
          .add(42, style.gap)
          .add(44, style.extension)
          // Figures lie along the line and above it, also where they stand outside.
          .add(73, 0)
          .add(74, 0)
          .add(77, 1)
          .add(78, zerosOf(style))
          .add(140, style.height)
          .add(142, style.tick)
          .add(146, FRACTION_HEIGHT)
          .add(147, style.offset)
          // Neither tolerances nor limits beside the figures; the line goes on between extension lines without room.
          .add(71, 0)
          .add(72, 0)
          .add(172, 1)
          .add(271, style.precision)
          .add(276, FRACTIONS[style.fractions])
          .add(277, style.inFeet ? 4 : 2)
          .add(289, MOVED_OUT[style.movedOut])
          .add(340, styles.get(style.textStyle) ?? styles.get('Standard') ?? '0');
        if (style.dot && dot !== undefined) out.add(342, dot);
        out.add(371, dxfLineWeight(style.width)).add(372, dxfLineWeight(style.width));
      }
    },
    true,
  );
}

/** The block that dimension lines end in where they end in dots. */
export const DOT_BLOCK = '_DOT';
