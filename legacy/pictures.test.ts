import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Corrections, Design, Drawing, ImageItem, IntakeReport, Picture } from '@mendrel/core';
import { cellsOf, convertSpaces, emPerCapital, readDesign, STARTING_STANDARD } from '@mendrel/core';
import { readTypefaces, writeSvg } from '@mendrel/formats';
import { readLegacyFile } from '@mendrel/formats/legacy';
import { writePdf } from '@mendrel/formats/pdf';
import { pngOf } from '@mendrel/formats/pictures';
import { shippedFontFiles } from '@mendrel/fonts/files';

const folder = mkdtempSync(join(tmpdir(), 'mendrel-pictures-'));
afterAll(() => rmSync(folder, { recursive: true }));
const fonts = shippedFontFiles();
const typefaces = readTypefaces(fonts);
const on = { standard: STARTING_STANDARD, typefaces };

/** A PNG of 4 by 2 dots, red. */
const PNG = 'iVBORw0KGgoAAAANSUhEUgAAAAQAAAACCAIAAADwyuo0AAAAEElEQVR4nGM4IScHRwzIHABvCgghBqXSdgAAAABJRU5ErkJggg==';
const IMAGE = { type: 'png', columns: 4, rows: 2, data: PNG } as const;

/** A block that python3-ezdxf drew, with a picture that it names, and where that stands; drawn once for all tests. */
let block: ReturnType<typeof drawBlock> | undefined;
const drawn = (): ReturnType<typeof drawBlock> => (block ??= drawBlock());

async function drawBlock() {
  const name = 'marks-1';
  const made = spawnSync('/usr/bin/python3', ['-B', 'legacy/marksAndTongues.py', folder, '1', '1'], {
    encoding: 'utf8',
  });
  expect([made.status, made.stderr]).toEqual([0, '']);
  const spaces = await readLegacyFile(new Uint8Array(readFileSync(join(folder, `${name}.dxf`))));
  const truth = JSON.parse(readFileSync(join(folder, `${name}.truth.json`), 'utf8')) as {
    pictures: { name: string; x: number; y: number; width: number; height: number }[];
  };
  const { name: file, x, y, width, height } = truth.pictures[0]!;
  return { spaces, truth: { name: file, x, y, width, height } };
}

const imagesOf = (design: Design): Picture[] =>
  [...cellsOf(design)].flatMap(({ cell }) =>
    cell.contents.flatMap((each) => (each.kind === 'picture' && each.image ? [each] : [])),
  );

// Reference: python3-ezdxf wrote the drawing and says where the picture stands.
test('a picture that a DXF names is told with its place; given by hand it stands there', async () => {
  const { spaces, truth } = await drawn();
  const without = convertSpaces(spaces, 'x', on);
  expect(without.report.pictures).toMatchObject([{ ...truth, given: false }]);
  expect(imagesOf(without.design)).toEqual([]);
  const corrections: Corrections = { pictures: { [truth.name]: { image: IMAGE } } };
  const { design, report } = convertSpaces(spaces, 'x', { ...on, corrections });
  expect(report.pictures).toMatchObject([{ name: truth.name, given: true }]);
  // It is twice as wide as high, so it is as high as its place.
  expect(imagesOf(design)).toMatchObject([{ width: 2 * truth.height, height: truth.height, image: IMAGE }]);
});

test('filled areas of a mark stay, and one that fills a cell is its ground', async () => {
  const { spaces } = await drawn();
  const { design } = convertSpaces(spaces, 'x', on);
  const cells = [...cellsOf(design)].map(({ cell }) => cell);
  expect(cells.filter(({ fill }) => fill).map(({ fill }) => fill)).toEqual(['#bebebe']);
  const pictures = cells.flatMap(({ contents }) => contents.flatMap((each) => (each.kind === 'picture' ? [each] : [])));
  // North arrow, scale bar, and the emblem of triangles.
  expect(pictures).toHaveLength(3);
  expect(pictures.some(({ linework }) => linework.every(({ kind }) => kind === 'fill'))).toBe(true);
});

/** The same block on paper with a real image in the place of the named one. */
async function paper(): Promise<{ drawing: Drawing; at: ImageItem }> {
  const { spaces, truth } = await drawn();
  const { legacy } = convertSpaces(spaces, 'x', on);
  const { x, y, width, height } = truth;
  const at: ImageItem = {
    kind: 'image',
    layer: 'LOGO',
    part: 'block',
    name: 'Mark',
    type: 'png',
    file: { data: PNG },
    x,
    y,
    width,
    height,
  };
  const items = legacy.items.map((item) =>
    item.kind === 'text' ? { ...item, typeface: 'Barlow Semi Condensed' } : item,
  );
  return { drawing: { ...legacy, items: [...items, at] }, at };
}

test('a north arrow and a scale bar are known as such, and become symbols in their places where that is wanted', async () => {
  const { spaces } = await drawn();
  const asDrawn = convertSpaces(spaces, 'x', on);
  expect(asDrawn.report.marks.map(({ symbol }) => symbol).sort()).toEqual(['north', 'scale bar']);
  const names = [...cellsOf(asDrawn.design)].flatMap(({ cell }) =>
    cell.contents.flatMap((each) => (each.kind === 'picture' ? [each.name] : [])),
  );
  expect(names.sort()).toEqual(['Logo', 'North arrow', 'Scale bar']);
  const { design, report } = convertSpaces(spaces, 'x', { ...on, corrections: { symbols: true } });
  const contents = [...cellsOf(design)].flatMap(({ cell }) => cell.contents);
  expect(contents.flatMap((each) => (each.kind === 'symbol' ? [each.symbol] : []))).toEqual(['north']);
  // The bar follows the scale of its sheet, so the figures that stood beside the old one go with it.
  expect(contents.filter(({ kind }) => kind === 'scaleBar')).toMatchObject([{ parameter: 'sheet.scale' }]);
  const figures = contents.filter((each) => each.kind === 'caption' && /^\d+( ?m)?$/.test(each.text));
  expect(figures).toEqual([]);
  expect(report.solved.spills).toBe(0);
});

function expectTaken(report: IntakeReport, design: Design, at: ImageItem): void {
  const [picture] = report.pictures;
  expect(picture).toMatchObject({ given: true });
  for (const key of ['x', 'y', 'width', 'height'] as const) expect(picture![key]).toBeCloseTo(at[key], 1);
  expect(imagesOf(design)).toMatchObject([{ image: { type: 'png', columns: 4, rows: 2 } }]);
}

test('a picture in an SVG is taken over with its dots', async () => {
  const { drawing, at } = await paper();
  const text = writeSvg(drawing, { emPerCapital: emPerCapital(typefaces) });
  const { design, report } = convertSpaces(await readLegacyFile(new TextEncoder().encode(text)), 'x', on);
  expectTaken(report, design, at);
});

test('a picture in a PDF is taken over with its dots', async () => {
  const { drawing, at } = await paper();
  const pdf = await writePdf([drawing], { fonts, emPerCapital: emPerCapital(typefaces), title: 'Block' });
  const { design, report } = convertSpaces(await readLegacyFile(pdf), 'x', on);
  expectTaken(report, design, at);
});

const withImage = async (data: string): Promise<ReturnType<typeof convertSpaces>> => {
  const { drawing, at } = await paper();
  const items = [...drawing.items.slice(0, -1), { ...at, file: { data } }];
  const text = writeSvg({ ...drawing, items }, { emPerCapital: emPerCapital(typefaces) });
  return convertSpaces(await readLegacyFile(new TextEncoder().encode(text)), 'x', on);
};

test('a picture whose base64 is written without its filling is kept as documents keep it', async () => {
  const { design } = await withImage(PNG.replace(/=+$/, ''));
  expect(imagesOf(readDesign(design))).toMatchObject([{ image: IMAGE }]);
});

test('a picture of more dots than one may have is left out, and the block is read all the same', async () => {
  const file = await pngOf(new Uint8Array(25_000), 25_000, 1, 1);
  const { design, report } = await withImage(Buffer.from(file!).toString('base64'));
  expect(imagesOf(design)).toEqual([]);
  expect(report.dropped.map(({ why }) => why)).toContain('a picture of 25000 × 1 dots; it may have 20000 each way');
});

test('a damaged picture in an SVG is left out, and said', async () => {
  const { design, report } = await withImage(PNG.slice(0, 80));
  expect(imagesOf(design)).toEqual([]);
  expect(report.dropped.map(({ why }) => why).join()).toMatch(/damaged/);
});
