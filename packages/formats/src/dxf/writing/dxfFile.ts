import type { Item, TextItem, WorkingUnit } from '@mendrel/core';
import { MM_PER } from '@mendrel/core';
import { writeItems } from './entities';
import type { DxfLayout, PlacedLayout } from './layouts';
import { writeLayouts, writePageView } from './layouts';
import { dxfName, dxfText, Pairs } from './pairs';
import type { PictureFiles, PlacedPicture } from './pictureFiles';
import { writePictureClasses, writePictureFiles } from './pictures';
import type { Writing } from './startEntity';
import { startEntity } from './startEntity';
import type { DxfDimensionStyle, DxfLayer, DxfLineType, DxfTextStyle } from './tables';
import { DOT_BLOCK, writeTables } from './tables';
import { writeInsert } from './texts';

/** Everything a text DXF file of version AC1018 (2004) is made of. Coordinates are in drawing units. */
export interface DxfFile {
  unit: WorkingUnit;
  /** The far corner of what is drawn. */
  extent: { width: number; height: number };
  layers: readonly DxfLayer[];
  lineTypes: readonly DxfLineType[];
  textStyles: readonly DxfTextStyle[];
  styleOf: (item: TextItem) => string;
  dimensionStyles: readonly DxfDimensionStyle[];
  blocks: readonly { name: string; items: readonly Item[] }[];
  /** Blocks that stand in model space, by name. */
  inserted: readonly string[];
  /** Items in model space beside them. */
  items: readonly Item[];
  /** Pages; an empty one when there is none. */
  layouts: readonly DxfLayout[];
  /** Pictures that lie beside the file. */
  pictures?: PictureFiles;
}

/** Handles of the parts that others refer to. */
const OWNERS = { model: '1F', paper: '1E', dictionary: 'C', groups: 'D', layouts: 'E', pictures: 'F' } as const;

/** Puts a file together. */
export function writeFile(file: DxfFile): string {
  const out = new Pairs();
  const blocks = out.separate();
  const entities = out.separate();
  const lineTypes = lineTypesOf(file);
  const pictures = new Map([...(file.pictures ?? [])].map(([data, each]) => [data, { ...each, handle: out.handle() }]));
  const on: Writing = {
    pictures,
    styleOf: file.styleOf,
    lineTypeOf: (dashes) => lineTypes.nameOf(dashes),
    perMm: file.unit === 'in' ? 1 / MM_PER.in : 1,
    widths: new Map(file.layers.map((layer) => [dxfName(layer.name), layer.width])),
  };
  const needsDot = file.dimensionStyles.some((style) => style.dot);
  const { width, height } = file.extent;
  const given = file.layouts.length > 0 ? file.layouts : [{ name: 'Page', paper: '', width, height }];
  const pages = given.map((layout, i): PlacedLayout => ({
    ...layout,
    handle: out.handle(),
    owner: i === 0 ? OWNERS.paper : out.handle(),
    blockName: i === 0 ? '*Paper_Space' : `*Paper_Space${i - 1}`,
  }));
  const model: PlacedLayout = {
    name: 'Model',
    paper: '',
    width,
    height,
    handle: out.handle(),
    owner: OWNERS.model,
    blockName: '*Model_Space',
  };
  const records: [string, string, string?][] = [
    ...[model, ...pages].map((layout): [string, string, string] => [layout.blockName, layout.owner, layout.handle]),
    ...file.blocks.map(({ name }): [string, string] => [name, out.handle()]),
    ...(needsDot ? [[DOT_BLOCK, out.handle()] as [string, string]] : []),
  ];
  const handleOf = new Map(records.map(([name, handle]) => [name, handle]));

  const writePage = (part: Pairs, page: PlacedLayout): void => {
    const onPage = { ...on, page: page.name };
    writePageView(part, page, onPage);
    const block = file.blocks.find((each) => each.name === page.block);
    if (block) writeInsert(part, block.name, block.items, page.owner, onPage);
  };
  section(blocks, 'BLOCKS', () => {
    for (const layout of [model, ...pages]) {
      startBlock(blocks, layout.blockName, layout.owner, 0);
      // What stands on the first page is among the entities, like what stands in the model.
      if (layout !== model && layout !== pages[0]) writePage(blocks, layout);
      endBlock(blocks, layout.owner);
    }
    for (const { name, items } of file.blocks) {
      const owner = handleOf.get(name) ?? '0';
      const attributes = items.some((item) => item.kind === 'text' && item.field);
      startBlock(blocks, name, owner, attributes ? 2 : 0);
      writeItems(blocks, items, owner, on);
      endBlock(blocks, owner);
    }
    if (needsDot) writeDot(blocks, handleOf.get(DOT_BLOCK) ?? '0', on);
  });
  section(entities, 'ENTITIES', () => {
    for (const name of file.inserted) {
      const block = file.blocks.find((each) => each.name === name);
      if (block) writeInsert(entities, name, block.items, OWNERS.model, on);
    }
    writeItems(entities, file.items, OWNERS.model, on);
    if (pages[0]) writePage(entities, pages[0]);
  });

  const tables = out.separate();
  const named = new Set(file.layers.map((layer) => dxfName(layer.name)));
  const found = [...on.widths].filter(([name]) => !named.has(name)).map(([name, width]) => ({ name, width }));
  section(tables, 'TABLES', () =>
    writeTables(
      tables,
      {
        layers: [...file.layers.map((layer) => ({ ...layer, name: dxfName(layer.name) })), ...found],
        lineTypes: lineTypes.all(),
        textStyles: file.textStyles,
        dimensionStyles: file.dimensionStyles,
        blocks: records,
      },
      OWNERS.groups,
    ),
  );
  const objects = out.separate();
  section(objects, 'OBJECTS', () => writeObjects(objects, model, pages, file.unit, [...pictures.values()]));
  section(out, 'HEADER', () => writeHeader(out, file, out.seed()));
  if (pictures.size > 0) section(out, 'CLASSES', () => writePictureClasses(out));
  out.splice(tables).splice(blocks).splice(entities).splice(objects).add(0, 'EOF');
  return out.text();
}

/** The named line types, and one more for every other rhythm of dashes that a line has. */
function lineTypesOf(file: DxfFile): { all: () => DxfLineType[]; nameOf: (dashes: readonly number[]) => string } {
  const types = [...file.lineTypes];
  const same = (a: readonly number[], b: readonly number[]): boolean =>
    a.length === b.length && a.every((each, i) => Math.abs(each - (b[i] ?? 0)) < 1e-6);
  return {
    all: () => types,
    nameOf(dashes) {
      const known = types.find((type) => same(type.dashes, dashes));
      if (known) return known.name;
      const name = `DASHES_${types.length + 1}`;
      types.push({ name, dashes });
      return name;
    },
  };
}

function section(out: Pairs, name: string, body: () => void): void {
  out.add(0, 'SECTION').add(2, name);
  body();
  out.add(0, 'ENDSEC');
}

function writeHeader(out: Pairs, { unit, extent, textStyles, dimensionStyles }: DxfFile, seed: string): void {
  out.add(9, '$ACADVER').add(1, 'AC1018');
  out.add(9, '$DWGCODEPAGE').add(3, 'ANSI_1252');
  out.add(9, '$HANDSEED').add(5, seed);
  out.add(9, '$INSUNITS').add(70, unit === 'mm' ? 4 : 1);
  out.add(9, '$MEASUREMENT').add(70, unit === 'mm' ? 1 : 0);
  out.add(9, '$LUNITS').add(70, 2);
  // Dashes are on paper: one scale for all, and the same through every view.
  out.add(9, '$LTSCALE').add(40, 1);
  out.add(9, '$PSLTSCALE').add(70, 1);
  out.add(9, '$LWDISPLAY').add(290, 1);
  // What is lettered and dimensioned next takes the office's first styles.
  const [textStyle] = textStyles;
  const [dimensionStyle] = dimensionStyles;
  if (textStyle) out.add(9, '$TEXTSTYLE').add(7, textStyle.name);
  if (dimensionStyle) out.add(9, '$DIMSTYLE').add(2, dimensionStyle.name);
  out.add(9, '$EXTMIN').point(10, 0, 0, 0);
  out.add(9, '$EXTMAX').point(10, extent.width, extent.height, 0);
  out.add(9, '$LIMMIN').point(10, 0, 0);
  out.add(9, '$LIMMAX').point(10, extent.width, extent.height);
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

/** A dot one unit wide: a circle of half the radius drawn with a line as wide as that. */
function writeDot(out: Pairs, owner: string, on: Writing): void {
  startBlock(out, DOT_BLOCK, owner, 0);
  startEntity(out, 'LWPOLYLINE', owner, '0', on).add(100, 'AcDbPolyline').add(90, 2).add(70, 1).add(43, 0.5);
  for (const x of [-0.25, 0.25]) out.point(10, x, 0).add(42, 1);
  endBlock(out, owner);
}

function writeObjects(
  out: Pairs,
  model: PlacedLayout,
  pages: readonly PlacedLayout[],
  unit: WorkingUnit,
  pictures: readonly PlacedPicture[],
): void {
  const dictionary = (handle: string, owner: string): Pairs =>
    out.add(0, 'DICTIONARY').add(5, handle).add(330, owner).add(100, 'AcDbDictionary').add(281, 1);
  dictionary(OWNERS.dictionary, '0');
  out.add(3, 'ACAD_GROUP').add(350, OWNERS.groups).add(3, 'ACAD_LAYOUT').add(350, OWNERS.layouts);
  if (pictures.length > 0) out.add(3, 'ACAD_IMAGE_DICT').add(350, OWNERS.pictures);
  dictionary(OWNERS.groups, OWNERS.dictionary);
  dictionary(OWNERS.layouts, OWNERS.dictionary);
  for (const { name, handle } of [model, ...pages]) out.add(3, dxfText(name)).add(350, handle);
  if (pictures.length > 0) {
    dictionary(OWNERS.pictures, OWNERS.dictionary);
    writePictureFiles(out, OWNERS.pictures, pictures);
  }
  writeLayouts(out, { model, pages, unit, dictionary: OWNERS.layouts });
}
