import fc from 'fast-check';
import type { Drawing, ImageItem, Item, TextItem, WorkingUnit } from '@mendrel/core';
import { deviationBetween, segmentsOf } from '@mendrel/core';
import { PYTHON, run, withFile } from '../../testing/programs';
import { testSheet } from '../../testing/sheet';
import { flattenDxf, readDxf } from '../index';
import { imageDrawing } from '../../testing/image';
import { dxfLineWeight, pictureFiles, writeDxf } from './index';

const OPTIONS = {
  blockName: 'Quay strip',
  layers: [{ name: 'SHEET-FRAME', width: 0.7, colour: '#000000', pattern: undefined }],
  fontFile: () => 'Barlow.ttf',
};

// Reference: ezdxf (Debian's python3-ezdxf) reads the file, audits it and tells what it found.
const LOOK = `
import ezdxf, json, sys
d = ezdxf.readfile(sys.argv[1])
audit = d.audit()
insert = d.modelspace().query('INSERT')[0]
block = d.blocks[insert.dxf.name]
print(json.dumps({
  'errors': [str(e.message) for e in audit.errors], 'fixes': len(audit.fixes),
  'version': d.dxfversion, 'units': d.units, 'block': insert.dxf.name,
  'attributes': [[a.dxf.tag, a.dxf.text, a.dxf.insert.x, a.dxf.insert.y, a.dxf.height, a.dxf.rotation] for a in insert.attribs],
  'definitions': [[a.dxf.tag, a.dxf.prompt] for a in block.query('ATTDEF')],
  'lines': [[list(p)[:2] for p in e.get_points('xy')] + ([list(e.get_points('xy'))[0]] if e.closed else []) for e in block.query('LWPOLYLINE')],
  'weights': {l.dxf.name: l.dxf.lineweight for l in d.layers},
  'texts': [t.dxf.text for t in block.query('TEXT')],
}))`;

interface Seen {
  errors: string[];
  fixes: number;
  version: string;
  units: number;
  block: string;
  attributes: [string, string, number, number, number, number][];
  definitions: [string, string][];
  lines: [number, number][][];
  weights: Record<string, number>;
  texts: string[];
}

const seenBy = (drawing: Drawing): Seen =>
  withFile('sheet.dxf', writeDxf(drawing, OPTIONS), (file) => JSON.parse(run(PYTHON, ['-c', LOOK, file])) as Seen);

describe('a sheet as ezdxf sees it', () => {
  const { drawing, layout, values } = testSheet();
  const seen = seenBy(drawing);

  test('passes its audit without errors or mending, in mm', () => {
    expect(seen).toMatchObject({ errors: [], fixes: 0, version: 'AC1018', units: 4, block: 'Quay strip' });
  });

  test('has its fields as attributes with tags, values and places', () => {
    const fields = drawing.items.filter((item): item is TextItem => item.kind === 'text' && item.field !== undefined);
    expect(seen.attributes.map(([tag]) => tag)).toEqual(fields.map((item) => item.field!.tag));
    expect(seen.definitions.map(([tag]) => tag)).toEqual(fields.map((item) => item.field!.tag));
    fields.forEach((item, i) => {
      const [, text, x, y, height, rotation] = seen.attributes[i]!;
      expect(text).toBe(item.text);
      expect([x, y, height, rotation]).toEqual(
        [item.at.x, item.at.y, item.height, item.rotation].map((v) => expect.closeTo(v, 3)),
      );
    });
    const number = seen.attributes.find(([tag]) => tag === 'SHEET_NUMBER');
    expect(number?.[1]).toBe(values['sheet.number']);
  });

  test('has linework equal to the layout within a thousandth of a millimetre', () => {
    const theirs = seen.lines.flatMap((points) =>
      points.slice(1).map(([x1, y1], i) => ({ x0: points[i]![0], y0: points[i]![1], x1, y1 })),
    );
    expect(deviationBetween(theirs, segmentsOf(drawing.items)).max).toBeLessThan(0.001);
    expect(layout.cells.length).toBeGreaterThan(10);
  });

  test('carries the line weights of the pens', () => {
    expect(seen.weights['SHEET-FRAME']).toBe(70);
  });
});

test('any text survives, whatever its letters', () => {
  const item = (text: string): Item => ({
    kind: 'text',
    text,
    at: { x: 1, y: 2 },
    height: 2.5,
    width: 10,
    widthFactor: 1,
    rotation: 0,
    typeface: 'T',
    role: 'r',
    layer: 'L',
    part: 'block',
  });
  const words = fc
    .string({ unit: 'grapheme', minLength: 1, maxLength: 30 })
    .filter((s) => s.trim() === s && !/[\u0000-\u001f\\{}%]/.test(s) && s !== '');
  fc.assert(
    fc.property(words, (text) => {
      const written = writeDxf({ width: 100, height: 100, items: [item(text)] }, OPTIONS);
      const [read] = flattenDxf(readDxf(new TextEncoder().encode(written))).items;
      expect((read as TextItem).text).toBe(text);
    }),
  );
});

test('what is written is read back: lines, arcs and fills', () => {
  const base = { layer: 'L', part: 'view', width: 0.25 } as const;
  const items: Item[] = [
    { ...base, kind: 'stroke', points: [0, 0, 10.123456, 0, 10, 5], closed: true },
    { ...base, kind: 'arc', centre: { x: 5, y: 5 }, radius: 2.5, from: 30, to: 120 },
    { ...base, kind: 'arc', centre: { x: 5, y: 5 }, radius: 2.5, from: 0, to: 360 },
    {
      layer: 'L',
      part: 'view',
      kind: 'fill',
      rings: [
        [0, 0, 4, 0, 4, 4],
        [1, 1, 2, 1, 2, 2],
      ],
    },
  ];
  const { items: read } = flattenDxf(
    readDxf(new TextEncoder().encode(writeDxf({ width: 20, height: 20, items }, OPTIONS))),
  );
  expect(read.map((item) => item.kind)).toEqual(['stroke', 'arc', 'arc', 'fill']);
  expect(read[0]).toMatchObject({ points: [0, 0, 10.123456, 0, 10, 5], closed: true });
  expect(read[1]).toMatchObject({ from: 30, to: 120, radius: 2.5 });
  expect(read[3]).toMatchObject({
    rings: [
      [0, 0, 4, 0, 4, 4],
      [1, 1, 2, 1, 2, 2],
    ],
  });
});

test('widths become the nearest weights that DXF has', () => {
  expect([0.13, 0.18, 0.35, 0.7, 0.66, 9].map(dxfLineWeight)).toEqual([13, 18, 35, 70, 70, 211]);
});

// Reference: ezdxf tells alignment points, polyline widths and units as the file has them.
describe('what other programs edit, as ezdxf sees it', () => {
  const LOOK_CLOSER = `
import ezdxf, json, sys
d = ezdxf.readfile(sys.argv[1])
insert = d.modelspace().query('INSERT')[0]
block = d.blocks[insert.dxf.name]
def seen(t):
  name, at, to = t.get_placement()
  return [name.name, round((to or at).x, 6), round((to or at).y, 6)]
print(json.dumps({
  'errors': [str(e.message) for e in d.audit().errors], 'units': d.units,
  'attributes': {a.dxf.tag: seen(a) for a in insert.attribs},
  'definitions': {a.dxf.tag: seen(a) for a in block.query('ATTDEF')},
  'texts': {t.dxf.text: seen(t) for t in block.query('TEXT')},
  'paragraphs': [[m.plain_text(), m.dxf.attachment_point, round(m.dxf.insert.x, 6), round(m.dxf.insert.y, 6), m.dxf.char_height,
    round(m.get_rotation(), 6), round(m.dxf.line_spacing_factor * 5 / 3 * m.dxf.char_height, 6)] for m in block.query('MTEXT')],
  'wide': [[len(e), round(e.dxf.const_width, 6), e.closed] for e in block.query('LWPOLYLINE') if e.dxf.const_width > 0],
}))`;
  const at = (drawing: Drawing, unit: WorkingUnit = 'mm') =>
    withFile('sheet.dxf', writeDxf(drawing, { ...OPTIONS, unit }), (file) =>
      JSON.parse(run(PYTHON, ['-c', LOOK_CLOSER, file])),
    ) as Record<string, unknown>;
  const text = (words: string, more: Partial<TextItem>): TextItem => ({
    kind: 'text',
    text: words,
    at: { x: 10, y: 20 },
    height: 2.5,
    width: 30,
    widthFactor: 1,
    rotation: 0,
    typeface: 'Barlow',
    role: 'value',
    layer: 'L',
    part: 'block',
    ...more,
  });
  const tagged = (tag: string): Pick<TextItem, 'field'> => ({ field: { tag, prompt: tag, parameter: 'sheet.title' } });

  test('texts, attributes and their definitions keep to the side they are aligned to, turned ones too', () => {
    const items = [
      text('Left', {}),
      text('Centre', { align: 'centre' }),
      text('Up', { align: 'right', rotation: 90 }),
      text('A-101', { align: 'right', ...tagged('RIGHT') }),
      text('Plan', { align: 'centre', rotation: 90, ...tagged('TURNED') }),
    ];
    const attributes = { RIGHT: ['RIGHT', 40, 20], TURNED: ['CENTER', 10, 35] };
    expect(at({ width: 100, height: 100, items })).toMatchObject({
      errors: [],
      texts: { Left: ['LEFT', 10, 20], Centre: ['CENTER', 25, 20], Up: ['RIGHT', 10, 50] },
      attributes,
      definitions: attributes,
    });
  });

  test('a wrapped text is one text of several lines, a field one attribute a line', () => {
    const next = (words: string, y: number, more: Partial<TextItem> = {}): TextItem =>
      text(words, { at: { x: 10, y }, follows: true, ...more });
    const items = [
      text('All levels are', {}),
      next('above {datum} in m\\', 16),
      next('to 1^2', 12),
      text('Alone', { at: { x: 60, y: 20 } }),
      // Turned up: the next line is to the right.
      text('Check on', { align: 'right', rotation: 90 }),
      next('site', 20, { align: 'right', rotation: 90, at: { x: 14, y: 30 }, width: 20 }),
      text('Quay', { ...tagged('TITLE') }),
      next('North', 16, { ...tagged('TITLE_LINE_2') }),
    ];
    const seen = at({ width: 100, height: 100, items });
    expect(seen).toMatchObject({ errors: [] });
    expect(seen.paragraphs).toEqual([
      ['All levels are\nabove {datum} in m\\\nto 1^2', 1, 10, 22.5, 2.5, 0, 4],
      ['Check on\nsite', 3, 7.5, 50, 2.5, 90, 4],
    ]);
    expect(Object.keys(seen.texts as object)).toEqual(['Alone']);
    expect(Object.keys(seen.attributes as object)).toEqual(['TITLE', 'TITLE_LINE_2']);
  });

  test('any wrapped text is read back line by line, long ones too', () => {
    const line = fc
      .string({ unit: 'grapheme', minLength: 1, maxLength: 120 })
      .filter((s) => s.trim() === s && s !== '' && !/[\p{C}%]/u.test(s));
    fc.assert(
      fc.property(fc.array(line, { minLength: 2, maxLength: 6 }), (lines) => {
        const items = lines.map((words, i) =>
          text(words, { at: { x: 10, y: 50 - 4 * i }, ...(i > 0 ? { follows: true } : {}) }),
        );
        const written = writeDxf({ width: 100, height: 100, items }, OPTIONS);
        const read = flattenDxf(readDxf(new TextEncoder().encode(written))).items as TextItem[];
        expect(read.map((item) => item.text)).toEqual(lines);
      }),
    );
  });

  test('lines wider than any line weight are polylines with that width', () => {
    const base = { layer: 'L', part: 'block', width: 4 } as const;
    const items: Item[] = [
      { ...base, kind: 'stroke', points: [0, 0, 50, 0], closed: false },
      { ...base, kind: 'arc', centre: { x: 20, y: 20 }, radius: 5, from: 0, to: 360 },
      { ...base, kind: 'arc', centre: { x: 20, y: 20 }, radius: 5, from: 350, to: 80 },
    ];
    expect(at({ width: 100, height: 100, items }).wide).toEqual([
      [2, 4, false],
      [3, 4, true],
      [2, 4, false],
    ]);
  });

  test('an image leaves its outline and words that say which one belongs there', () => {
    const image: Item = {
      kind: 'image',
      name: 'quay.png',
      type: 'png',
      file: { data: '' },
      x: 10,
      y: 10,
      width: 40,
      height: 20,
      layer: 'L',
      part: 'block',
    };
    expect(Object.keys(at({ width: 100, height: 100, items: [image] }).texts as object)).toEqual(['Image: quay.png']);
  });

  describe('images with their files beside the drawing', () => {
    // Four by two dots.
    const [{ file }] = imageDrawing.items as [ImageItem];
    const image = (more: Partial<ImageItem>): ImageItem => ({
      kind: 'image',
      name: 'Quay, 2031',
      type: 'png',
      file,
      x: 10,
      y: 10,
      width: 40,
      height: 20,
      layer: 'L',
      part: 'block',
      ...more,
    });
    const LOOK_AT_IMAGES = `
import ezdxf, json, sys
d = ezdxf.readfile(sys.argv[1])
audit = d.audit()
block = d.blocks[d.modelspace().query('INSERT')[0].dxf.name]
flat = lambda points: [round(c, 4) for p in points for c in (p[0], p[1])]
print(json.dumps({
  'errors': [str(e.message) for e in audit.errors], 'fixes': len(audit.fixes),
  'files': [[i.dxf.filename, i.dxf.image_size.x, i.dxf.image_size.y] for i in d.objects.query('IMAGEDEF')],
  'images': [{'file': e.image_def.dxf.filename, 'corner': flat([e.dxf.insert]), 'across': flat([e.dxf.u_pixel]), 'up': flat([e.dxf.v_pixel]),
    'shown': flat(e.boundary_path_wcs()), 'transparency': round(e.transparency, 2)} for e in block.query('IMAGE')],
}))`;
    const seen = (...items: ImageItem[]): Record<string, unknown> => {
      const drawing = { width: 100, height: 100, items };
      const written = writeDxf(drawing, { ...OPTIONS, pictures: pictureFiles(drawing) });
      return withFile(
        'images.dxf',
        written,
        (path) => JSON.parse(run(PYTHON, ['-c', LOOK_AT_IMAGES, path])) as Record<string, unknown>,
      );
    };
    /** The extent of the corners of what is shown. */
    const shown = (each: unknown): number[] => {
      const { shown: corners } = each as { shown: number[] };
      const [xs, ys] = [corners.filter((_, i) => i % 2 === 0), corners.filter((_, i) => i % 2 === 1)];
      return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
    };

    test('are references, each file named once, and pass the audit', () => {
      const found = seen(image({}), image({ x: 60, width: 20, height: 10, opacity: 0.4 }));
      expect(found).toMatchObject({ errors: [], fixes: 0, files: [['pictures/1-Quay-2031.png', 4, 2]] });
      const [first, second] = found['images'] as unknown[];
      expect(first).toMatchObject({ corner: [10, 10], across: [10, 0], up: [0, 10] });
      expect(second).toMatchObject({ file: 'pictures/1-Quay-2031.png', transparency: 0.6 });
    });

    test.each([90, 180, 270] as const)('turned by %d° stand where they stand on paper', (turn) => {
      const upright = turn !== 180;
      const place = { x: 10, y: 10, width: upright ? 20 : 40, height: upright ? 40 : 20 };
      const [found] = seen(image({ ...place, turn }))['images'] as unknown[];
      expect(shown(found)).toEqual([10, 10, 10 + place.width, 10 + place.height]);
      const { across } = found as { across: number[] };
      expect(across).toEqual({ 90: [0, 10], 180: [-10, 0], 270: [0, -10] }[turn]);
    });

    test.each([undefined, 90, 180, 270] as const)('cut, and turned by %s, show what is to be shown', (turn) => {
      const upright = turn === 90 || turn === 270;
      const place = { x: 10, y: 10, width: upright ? 20 : 40, height: upright ? 40 : 20 };
      const clip = { x: 12, y: 15, width: 6, height: 9 };
      const [found] = seen(image({ ...place, clip, ...(turn === undefined ? {} : { turn }) }))['images'] as unknown[];
      expect(shown(found)).toEqual([12, 15, 18, 24]);
    });

    test.each([undefined, 90, 180, 270] as const)('in an outline, and turned by %s, show what lies in it', (turn) => {
      const upright = turn === 90 || turn === 270;
      const place = { x: 10, y: 10, width: upright ? 20 : 40, height: upright ? 40 : 20 };
      const outline = [12, 15, 26, 15, 20, 24];
      const drawn = seen(image({ ...place, outline, ...(turn === undefined ? {} : { turn }) }));
      expect(drawn).toMatchObject({ errors: [], fixes: 0 });
      const [found] = drawn['images'] as { shown: number[] }[];
      expect(found?.shown).toEqual([...outline, 12, 15]);
    });
  });

  test('a file in inches has its lengths in inches', () => {
    const wide: Item = {
      kind: 'stroke',
      points: [0, 0, 254, 0],
      closed: false,
      width: 2.54,
      layer: 'L',
      part: 'block',
    };
    const seen = at({ width: 254, height: 254, items: [wide, text('Note', { at: { x: 25.4, y: 50.8 } })] }, 'in');
    expect(seen).toMatchObject({ errors: [], units: 1, texts: { Note: ['LEFT', 1, 2] }, wide: [[2, 0.1, false]] });
  });
});
