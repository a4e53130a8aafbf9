import type { Drawing, Item, TextItem } from '@mendrel/core';

/** What a sheet is written as DXF with. */
export interface DxfOptions {
  /** Name of the block that holds frame and title block. */
  blockName: string;
  /** Layers with their line weight in mm; layers that items use and this lacks are added. */
  layers: readonly { name: string; width: number }[];
  /** File name of the typeface of a text, which the text style refers to. */
  fontFile: (typeface: string) => string;
}

/** Line weights that DXF can hold, in hundredths of a millimetre. */
const LINE_WEIGHTS = [
  0, 5, 9, 13, 15, 18, 20, 25, 30, 35, 40, 50, 53, 60, 70, 80, 90, 100, 106, 120, 140, 158, 200, 211,
];

/** The held line weight nearest to a width in mm. */
export function dxfLineWeight(width: number): number {
  const wanted = width * 100;
  return LINE_WEIGHTS.reduce((best, each) => (Math.abs(each - wanted) < Math.abs(best - wanted) ? each : best), 25);
}

/** Text as a DXF string: characters beyond ASCII by number, line ends as spaces. */
function dxfText(text: string): string {
  let out = '';
  for (let i = 0; i < text.length; i++) {
    const code = text.charCodeAt(i);
    if (code < 32) out += ' ';
    else if (code < 127) out += text[i];
    else out += `\\U+${code.toString(16).toUpperCase().padStart(4, '0')}`;
  }
  return out;
}

/** Names of layers, blocks and styles may not hold these signs. */
const dxfName = (name: string): string =>
  dxfText(name)
    .replace(/[<>/\\":;?*|=`,]/g, '_')
    .slice(0, 200) || '_';

/** Puts group codes and values together and hands out handles. */
class Pairs {
  private lines: string[] = [];
  private lastHandle = 0x20;

  add(code: number, value: string | number): this {
    this.lines.push(
      String(code).padStart(3),
      typeof value === 'number' && code >= 10 && code < 60 ? real(value) : String(value),
    );
    return this;
  }

  point(code: number, x: number, y: number, z?: number): this {
    this.add(code, x).add(code + 10, y);
    return z === undefined ? this : this.add(code + 20, z);
  }

  handle(): string {
    return (++this.lastHandle).toString(16).toUpperCase();
  }

  /** The smallest handle that is still free. */
  seed(): string {
    return (this.lastHandle + 1).toString(16).toUpperCase();
  }

  splice(other: Pairs): this {
    this.lines = this.lines.concat(other.lines);
    return this;
  }

  separate(): Pairs {
    const part = new Pairs();
    part.handle = () => this.handle();
    return part;
  }

  text(): string {
    return `${this.lines.join('\n')}\n`;
  }
}

function real(value: number): string {
  const rounded = Math.round(value * 1e9) / 1e9;
  const text = String(rounded);
  return /[.e]/.test(text) ? text : `${text}.0`;
}

/** Handles of the parts that others refer to. */
const OWNERS = {
  model: '1F',
  paper: '1E',
  block: '1D',
  layout: '1A',
  tables: '1B',
  dictionary: 'C',
  groups: 'D',
} as const;

/**
 * Writes a sheet as text DXF of version AC1015 (2000) in mm. Frame and title block become a block whose fields are
 * attributes, so that they stay fields in whatever reads the file; views are linework beside it.
 */
export function writeDxf(drawing: Drawing, options: DxfOptions): string {
  const block = dxfName(options.blockName);
  const inBlock = drawing.items.filter((item) => item.part !== 'view');
  const beside = drawing.items.filter((item) => item.part === 'view');
  const styles = new Map<string, string>();
  for (const item of drawing.items)
    if (item.kind === 'text') styles.set(item.typeface, dxfName(item.typeface || 'Standard'));

  const out = new Pairs();
  const blocks = out.separate();
  const entities = out.separate();
  const on: Writing = { styles, widths: new Map(options.layers.map((layer) => [dxfName(layer.name), layer.width])) };

  section(blocks, 'BLOCKS', () => {
    emptyBlock(blocks, '*Model_Space', OWNERS.model);
    emptyBlock(blocks, '*Paper_Space', OWNERS.paper);
    const attributes = inBlock.some((item) => item.kind === 'text' && item.field);
    startBlock(blocks, block, OWNERS.block, attributes ? 2 : 0);
    for (const item of inBlock) writeItem(blocks, item, OWNERS.block, on);
    endBlock(blocks, OWNERS.block);
  });
  section(entities, 'ENTITIES', () => {
    writeInsert(entities, block, inBlock, on);
    for (const item of beside) writeItem(entities, item, OWNERS.model, on);
  });

  const tables = out.separate();
  section(tables, 'TABLES', () => writeTables(tables, block, options, on));
  const objects = out.separate();
  section(objects, 'OBJECTS', () => writeObjects(objects));
  section(out, 'HEADER', () => writeHeader(out, drawing, out.seed()));
  out.splice(tables).splice(blocks).splice(entities).splice(objects).add(0, 'EOF');
  return out.text();
}

interface Writing {
  styles: Map<string, string>;
  /** Line weights by layer name; grows with the layers that items use. */
  widths: Map<string, number>;
}

function section(out: Pairs, name: string, body: () => void): void {
  out.add(0, 'SECTION').add(2, name);
  body();
  out.add(0, 'ENDSEC');
}

function writeHeader(out: Pairs, drawing: Drawing, seed: string): void {
  out.add(9, '$ACADVER').add(1, 'AC1015');
  out.add(9, '$DWGCODEPAGE').add(3, 'ANSI_1252');
  out.add(9, '$HANDSEED').add(5, seed);
  out.add(9, '$INSUNITS').add(70, 4);
  out.add(9, '$MEASUREMENT').add(70, 1);
  out.add(9, '$LUNITS').add(70, 2);
  out.add(9, '$LWDISPLAY').add(290, 1);
  out.add(9, '$EXTMIN').point(10, 0, 0, 0);
  out.add(9, '$EXTMAX').point(10, drawing.width, drawing.height, 0);
  out.add(9, '$LIMMIN').point(10, 0, 0);
  out.add(9, '$LIMMAX').point(10, drawing.width, drawing.height);
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

function writeTables(out: Pairs, block: string, options: DxfOptions, on: Writing): void {
  table(out, 'VPORT', 0, () => undefined);
  table(out, 'LTYPE', 3, (owner) => {
    for (const [name, about] of [
      ['ByBlock', ''],
      ['ByLayer', ''],
      ['Continuous', 'Solid line'],
    ] as const) {
      record(out, 'LTYPE', owner, 'AcDbLinetypeTableRecord', name)
        .add(70, 0)
        .add(3, about)
        .add(72, 65)
        .add(73, 0)
        .add(40, 0);
    }
  });
  const layers = [['0', 0.25] as const, ...[...on.widths].filter(([name]) => name !== '0')];
  table(out, 'LAYER', layers.length, (owner) => {
    for (const [name, width] of layers) {
      record(out, 'LAYER', owner, 'AcDbLayerTableRecord', name)
        .add(70, 0)
        .add(62, 7)
        .add(6, 'Continuous')
        .add(370, dxfLineWeight(width))
        .add(390, OWNERS.groups);
    }
  });
  const styles = [
    ['Standard', ''] as const,
    ...[...on.styles].map(([typeface, name]) => [name, options.fontFile(typeface)] as const),
  ];
  table(out, 'STYLE', styles.length, (owner) => {
    const seen = new Set<string>();
    for (const [name, file] of styles) {
      if (seen.has(name)) continue;
      seen.add(name);
      record(out, 'STYLE', owner, 'AcDbTextStyleTableRecord', name)
        .add(70, 0)
        .add(40, 0)
        .add(41, 1)
        .add(50, 0)
        .add(71, 0)
        .add(42, 2.5)
        .add(3, file || 'txt')
        .add(4, '');
    }
  });
  table(out, 'VIEW', 0, () => undefined);
  table(out, 'UCS', 0, () => undefined);
  table(out, 'APPID', 1, (owner) => {
    record(out, 'APPID', owner, 'AcDbRegAppTableRecord', 'ACAD').add(70, 0);
  });
  table(
    out,
    'DIMSTYLE',
    1,
    (owner) => {
      const handle = out.handle();
      out.add(0, 'DIMSTYLE').add(105, handle).add(330, owner).add(100, 'AcDbSymbolTableRecord');
      out.add(100, 'AcDbDimStyleTableRecord').add(2, 'Standard').add(70, 0);
    },
    true,
  );
  table(out, 'BLOCK_RECORD', 3, (owner) => {
    const own = [
      ['*Model_Space', OWNERS.model],
      ['*Paper_Space', OWNERS.paper],
      [block, OWNERS.block],
    ] as const;
    for (const [name, handle] of own) record(out, 'BLOCK_RECORD', owner, 'AcDbBlockTableRecord', name, handle);
  });
}

function startBlock(out: Pairs, name: string, owner: string, flags: number): void {
  out
    .add(0, 'BLOCK')
    .add(5, out.handle())
    .add(330, owner)
    .add(100, 'AcDbEntity')
    .add(8, '0')
    .add(100, 'AcDbBlockBegin');
  out.add(2, name).add(70, flags).point(10, 0, 0, 0).add(3, name).add(1, '');
}

function endBlock(out: Pairs, owner: string): void {
  out.add(0, 'ENDBLK').add(5, out.handle()).add(330, owner).add(100, 'AcDbEntity').add(8, '0').add(100, 'AcDbBlockEnd');
}

function emptyBlock(out: Pairs, name: string, owner: string): void {
  startBlock(out, name, owner, 0);
  endBlock(out, owner);
}

function start(out: Pairs, kind: string, owner: string, layer: string, on: Writing, width?: number): Pairs {
  const name = dxfName(layer);
  if (!on.widths.has(name)) on.widths.set(name, width ?? 0.25);
  out.add(0, kind).add(5, out.handle()).add(330, owner).add(100, 'AcDbEntity').add(8, name);
  return width === undefined ? out : out.add(370, dxfLineWeight(width));
}

function writeItem(out: Pairs, item: Item, owner: string, on: Writing): void {
  switch (item.kind) {
    case 'stroke': {
      start(out, 'LWPOLYLINE', owner, item.layer, on, item.width).add(100, 'AcDbPolyline');
      out.add(90, item.points.length / 2).add(70, item.closed ? 1 : 0);
      for (let i = 0; i + 1 < item.points.length; i += 2) out.point(10, item.points[i] ?? 0, item.points[i + 1] ?? 0);
      return;
    }
    case 'arc': {
      const whole = Math.abs(item.to - item.from) >= 360 - 1e-9;
      start(out, whole ? 'CIRCLE' : 'ARC', owner, item.layer, on, item.width).add(100, 'AcDbCircle');
      out.point(10, item.centre.x, item.centre.y, 0).add(40, item.radius);
      if (!whole) out.add(100, 'AcDbArc').add(50, item.from).add(51, item.to);
      return;
    }
    case 'fill': {
      start(out, 'HATCH', owner, item.layer, on).add(100, 'AcDbHatch').point(10, 0, 0, 0);
      out
        .add(210, '0.0')
        .add(220, '0.0')
        .add(230, '1.0')
        .add(2, 'SOLID')
        .add(70, 1)
        .add(71, 0)
        .add(91, item.rings.length);
      for (const ring of item.rings) {
        out
          .add(92, 3)
          .add(72, 0)
          .add(73, 1)
          .add(93, ring.length / 2);
        for (let i = 0; i + 1 < ring.length; i += 2) out.point(10, ring[i] ?? 0, ring[i + 1] ?? 0);
        out.add(97, 0);
      }
      out.add(75, 0).add(76, 1).add(98, 0);
      return;
    }
    case 'text':
      if (item.field) writeAttribute(out, 'ATTDEF', item, owner, on);
      else if (item.text !== '') {
        start(out, 'TEXT', owner, item.layer, on);
        textGroups(out, item, item.text, on).add(100, 'AcDbText');
      }
  }
}

function textGroups(out: Pairs, item: TextItem, words: string, on: Writing): Pairs {
  out.add(100, 'AcDbText').point(10, item.at.x, item.at.y, 0).add(40, item.height).add(1, dxfText(words));
  if (item.rotation !== 0) out.add(50, item.rotation);
  if (item.widthFactor !== 1) out.add(41, item.widthFactor);
  return out.add(7, on.styles.get(item.typeface) ?? 'Standard');
}

/** A field as the definition in the block, or as the attribute that holds the value on the sheet. */
function writeAttribute(out: Pairs, kind: 'ATTDEF' | 'ATTRIB', item: TextItem, owner: string, on: Writing): void {
  const { tag = '', prompt = '' } = item.field ?? {};
  start(out, kind, owner, item.layer, on);
  textGroups(out, item, kind === 'ATTRIB' ? item.text : '', on);
  out.add(100, kind === 'ATTRIB' ? 'AcDbAttribute' : 'AcDbAttributeDefinition');
  if (kind === 'ATTDEF') out.add(3, dxfText(prompt));
  out.add(2, dxfText(tag)).add(70, 0);
}

function writeInsert(out: Pairs, block: string, items: readonly Item[], on: Writing): void {
  const fields = items.filter((item): item is TextItem => item.kind === 'text' && item.field !== undefined);
  start(out, 'INSERT', OWNERS.model, '0', on).add(100, 'AcDbBlockReference');
  if (fields.length > 0) out.add(66, 1);
  out.add(2, block).point(10, 0, 0, 0);
  if (fields.length === 0) return;
  for (const field of fields) writeAttribute(out, 'ATTRIB', field, OWNERS.model, on);
  out.add(0, 'SEQEND').add(5, out.handle()).add(330, OWNERS.model).add(100, 'AcDbEntity').add(8, '0');
}

function writeObjects(out: Pairs): void {
  out.add(0, 'DICTIONARY').add(5, OWNERS.dictionary).add(330, '0').add(100, 'AcDbDictionary').add(281, 1);
  out.add(3, 'ACAD_GROUP').add(350, OWNERS.groups);
  out.add(0, 'DICTIONARY').add(5, OWNERS.groups).add(330, OWNERS.dictionary).add(100, 'AcDbDictionary').add(281, 1);
}
