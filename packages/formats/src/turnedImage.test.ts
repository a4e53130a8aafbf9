import { readFileSync } from 'node:fs';
import type { Drawing, ImageItem, Item } from '@mendrel/core';
import { writeDxf } from './dxf';
import { writePdf } from './pdf';
import { writeSvg } from './svg';
import { PYTHON, run, withFile } from './testing/programs';

/** A PNG of 4 by 2 pixels, base64: its left half is red, its right half blue. */
const RED_AND_BLUE =
  'iVBORw0KGgoAAAANSUhEUgAAAAQAAAACCAIAAADwyuo0AAAAE0lEQVR4nGP4z8AARGDiPwMyBwBnsgf5Q2OaZwAAAABJRU5ErkJggg==';
const base = { layer: 'PICTURES', part: 'block' as const };
const emPerCapital = (): number => 1.4;

/** The image, 80 x 40 mm before it is turned, in the middle of a sheet of 200 x 200 mm. */
function sheet(turn: ImageItem['turn'] | 0, more: Partial<ImageItem> = {}): Drawing {
  const [width, height] = turn === 90 || turn === 270 ? [40, 80] : [80, 40];
  const image: ImageItem = {
    ...base,
    kind: 'image',
    name: 'Mark',
    type: 'png',
    file: { data: RED_AND_BLUE },
    x: 100 - width / 2,
    y: 100 - height / 2,
    width,
    height,
    ...(turn ? { turn } : {}),
    ...more,
  };
  return { width: 200, height: 200, items: [image] };
}

/** Colours of a page at some places in mm from its lower left corner; pdftoppm (poppler-utils) makes the dots, one a millimetre. */
function colours(pdf: string, places: readonly (readonly [number, number])[]): string[] {
  run('pdftoppm', ['-r', '25.4', '-singlefile', pdf, pdf]);
  const bytes = readFileSync(`${pdf}.ppm`);
  const [, columns = '0', rows = '0'] = /^P6\s+(\d+)\s+(\d+)\s+255\s/.exec(bytes.toString('latin1', 0, 40)) ?? [];
  const from = bytes.length - Number(columns) * Number(rows) * 3;
  return places.map(([x, y]) => {
    const at = from + ((200 - y) * Number(columns) + x) * 3;
    const [r = 0, g = 0, b = 0] = bytes.subarray(at, at + 3);
    return r > 200 && g < 90 && b < 90
      ? 'red'
      : b > 200 && r < 90
        ? 'blue'
        : r > 240 && g > 240
          ? 'paper'
          : `${r} ${g} ${b}`;
  });
}

const [LEFT, RIGHT, BELOW, ABOVE] = [
  [70, 100],
  [130, 100],
  [100, 70],
  [100, 130],
] as const;

// Counter-clockwise: after a quarter turn the left half is below.
test.each([
  [0, ['red', 'blue', 'paper', 'paper']],
  [90, ['paper', 'paper', 'red', 'blue']],
  [180, ['blue', 'red', 'paper', 'paper']],
  [270, ['paper', 'paper', 'blue', 'red']],
] as const)('an image turned by %i degrees shows so in PDF and in SVG', async (degrees, expected) => {
  const pdf = await writePdf([sheet(degrees)], { fonts: new Map(), emPerCapital, title: 'Turned' });
  expect(withFile('turned.pdf', pdf, (file) => colours(file, [LEFT, RIGHT, BELOW, ABOVE]))).toEqual(expected);
  // Reference: rsvg-convert (librsvg2-bin) reads the SVG.
  const seen = withFile('turned.svg', writeSvg(sheet(degrees), { emPerCapital }), (file) => {
    run('rsvg-convert', ['-f', 'pdf', file, '-o', `${file}.pdf`]);
    return colours(`${file}.pdf`, [LEFT, RIGHT, BELOW, ABOVE]);
  });
  expect(seen).toEqual(expected);
});

test('an image is seen within its outline only, in PDF and in SVG', async () => {
  // A triangle from the lower left over the lower right to the middle of its upper edge.
  const outline = [60, 80, 140, 80, 100, 120];
  const places = [
    [66, 84],
    [66, 110],
    [134, 84],
    [134, 110],
  ] as const;
  const cut = sheet(0, { outline });
  const pdf = await writePdf([cut], { fonts: new Map(), emPerCapital, title: 'Cut' });
  const expected = ['red', 'paper', 'blue', 'paper'];
  expect(withFile('cut.pdf', pdf, (file) => colours(file, places))).toEqual(expected);
  const seen = withFile('cut.svg', writeSvg(cut, { emPerCapital }), (file) => {
    run('rsvg-convert', ['-f', 'pdf', file, '-o', `${file}.pdf`]);
    return colours(`${file}.pdf`, places);
  });
  expect(seen).toEqual(expected);
});

test('what covers half of what is under it is half as dark, in PDF and in SVG', async () => {
  const half = sheet(0, { opacity: 0.5 });
  const pdf = await writePdf([half], { fonts: new Map(), emPerCapital, title: 'Half' });
  const [left] = withFile('half.pdf', pdf, (file) => colours(file, [LEFT]));
  expect(left).toMatch(/^255 12[78] 12[78]$/);
  const seen = withFile('half.svg', writeSvg(half, { emPerCapital }), (file) => {
    run('rsvg-convert', ['-f', 'pdf', file, '-o', `${file}.pdf`]);
    return colours(`${file}.pdf`, [LEFT]);
  });
  expect(seen[0]).toMatch(/^255 12[78] 12[78]$/);
});

// Reference: ezdxf tells the transparency of each entity, 0 for what covers all.
test('and in DXF lines, areas and texts say how much they cover', () => {
  const look = { ...base, opacity: 0.4 };
  const items: Item[] = [
    { ...look, kind: 'stroke', points: [0, 0, 10, 0], closed: false, width: 0.25 },
    { ...look, kind: 'fill', rings: [[0, 0, 10, 0, 10, 10]] },
    {
      ...look,
      kind: 'text',
      text: 'DRAFT',
      at: { x: 0, y: 0 },
      height: 5,
      width: 20,
      widthFactor: 1,
      rotation: 0,
      typeface: 'Barlow',
      role: 'value',
    },
    { ...base, kind: 'stroke', points: [0, 5, 10, 5], closed: false, width: 0.25 },
  ];
  const file = writeDxf({ width: 100, height: 100, items }, { blockName: 'B', layers: [], fontFile: () => 'x.ttf' });
  const script = `
import ezdxf, json, sys
d = ezdxf.readfile(sys.argv[1])
audit = d.audit()
print(json.dumps([len(audit.errors)] + [round(e.transparency, 2) for e in d.blocks['B']]))`;
  const seen = withFile('half.dxf', file, (path) => JSON.parse(run(PYTHON, ['-B', '-c', script, path])) as number[]);
  expect(seen).toEqual([0, 0.6, 0.6, 0.6, 0]);
});
