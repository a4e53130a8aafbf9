import fc from 'fast-check';
import { ImageFileError, readImageHeader } from './imageFile';
import { readSvgPicture } from './svgPicture';

/** A PNG's first bytes with a width and a height; the rest does not matter to its header. */
function png(columns: number, rows: number): Uint8Array {
  const bytes = new Uint8Array(40);
  bytes.set([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 0, 0, 0, 13, 0x49, 0x48, 0x44, 0x52]);
  const view = new DataView(bytes.buffer);
  view.setUint32(16, columns);
  view.setUint32(20, rows);
  return bytes;
}
const jpeg = (columns: number, rows: number): Uint8Array =>
  Uint8Array.from([
    0xff,
    0xd8,
    0xff,
    0xe0,
    0,
    4,
    1,
    2,
    0xff,
    0xff,
    0xc2,
    0,
    11,
    8,
    rows >> 8,
    rows & 255,
    columns >> 8,
    columns & 255,
    3,
    0,
    0,
    0,
  ]);

describe('image files', () => {
  // ISO/IEC 15948: pHYs has dots a metre; JFIF: dots to the inch or to the centimetre.
  test('say how large they are on paper, where they do', () => {
    const sized = (unit: number): Uint8Array => {
      const bytes = new Uint8Array(60);
      bytes.set(png(600, 400).subarray(0, 33));
      const view = new DataView(bytes.buffer);
      view.setUint32(33, 9);
      bytes.set([0x70, 0x48, 0x59, 0x73], 37);
      view.setUint32(41, 11_811);
      view.setUint32(45, 11_811);
      bytes[49] = unit;
      return bytes;
    };
    expect(readImageHeader(sized(1)).dotsPerInch).toBeCloseTo(300, 1);
    expect(readImageHeader(sized(0)).dotsPerInch).toBeUndefined();
    expect(readImageHeader(png(600, 400)).dotsPerInch).toBeUndefined();
    const jfif = (unit: number, dots: number): Uint8Array => {
      const head = [
        0xff,
        0xd8,
        0xff,
        0xe0,
        0,
        16,
        0x4a,
        0x46,
        0x49,
        0x46,
        0,
        1,
        1,
        unit,
        dots >> 8,
        dots & 255,
        0,
        1,
        0,
        0,
      ];
      return Uint8Array.from([...head, ...jpeg(60, 40).subarray(8)]);
    };
    expect(readImageHeader(jfif(1, 300)).dotsPerInch).toBe(300);
    expect(readImageHeader(jfif(2, 100)).dotsPerInch).toBeCloseTo(254, 9);
    expect(readImageHeader(jfif(0, 1)).dotsPerInch).toBeUndefined();
  });

  test('say their kind and their pixels', () => {
    expect(readImageHeader(png(640, 480))).toEqual({ type: 'png', columns: 640, rows: 480 });
    expect(readImageHeader(jpeg(800, 600))).toEqual({ type: 'jpeg', columns: 800, rows: 600 });
  });

  test.each([
    ['nothing', new Uint8Array()],
    ['text', new TextEncoder().encode('a line of text')],
    ['half a PNG', png(640, 480).subarray(0, 20)],
    ['a PNG without pixels', png(0, 480)],
    ['half a JPEG', jpeg(800, 600).subarray(0, 9)],
  ])('%s is refused', (_what, bytes) => {
    expect(() => readImageHeader(bytes)).toThrow('not a PNG, JPEG, TIFF, WebP or SVG picture');
  });

  test('too many pixels are refused before anything is unpacked', () => {
    expect(() => readImageHeader(png(20_000, 10_000))).toThrow(
      '20000 × 10000 pixels, 200 million; a picture may have 40 million',
    );
    expect(() => readImageHeader(new Uint8Array(3_000_001))).toThrow('3.0 MB; a picture may have 3 MB');
  });

  test('whatever the bytes, the answer is a header or an error in words', () => {
    fc.assert(
      fc.property(fc.uint8Array({ maxLength: 60 }), fc.constantFrom(png(9, 9), jpeg(9, 9)), (noise, file) => {
        const mutated = Uint8Array.from([...file.subarray(0, 12), ...noise]);
        try {
          expect(readImageHeader(mutated).columns).toBeGreaterThan(0);
        } catch (error) {
          expect(error).toBeInstanceOf(ImageFileError);
        }
      }),
    );
  });
});

const svg = (inner: string, head = 'viewBox="0 0 100 50" width="40mm" height="20mm"'): string =>
  `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" ${head}>${inner}</svg>`;

describe('SVG pictures', () => {
  test('become lines and areas in mm, y up from the lower edge', () => {
    const { width, height, linework, dropped } = readSvgPicture(
      svg('<rect x="10" y="10" width="50" height="20"/><path d="M0 0L100 50" fill="none" stroke="black"/>'),
    );
    expect([width, height, dropped]).toEqual([40, 20, []]);
    expect(linework).toEqual([
      { kind: 'fill', rings: [[4, 16, 24, 16, 24, 8, 4, 8].map((v) => expect.closeTo(v, 9))] },
      { kind: 'stroke', points: [0, 20, 40, 0].map((v) => expect.closeTo(v, 9)), closed: false, width: 0.4 },
    ]);
  });

  test('groups hand down their place and their paint', () => {
    const { linework } = readSvgPicture(
      svg(
        '<g transform="translate(10 0) scale(2)" style="fill:none;stroke:#123456"><line x1="0" y1="0" x2="10" y2="0"/></g>',
      ),
    );
    expect(linework).toEqual([
      {
        kind: 'stroke',
        points: [4, 20, 12, 20].map((v) => expect.closeTo(v, 9)),
        closed: false,
        colour: '#123456',
        width: 0.8,
      },
    ]);
  });

  test('colours and the widths of lines come along; black, and what has none, is for the pen of the sheet', () => {
    const { linework, dropped } = readSvgPicture(
      svg(
        '<style>.sea{fill:teal}</style><rect fill="white" width="100" height="50"/><rect class="sea" width="50" height="50"/><rect fill="#FFF" width="9" height="9"/><rect fill="rgb(240, 176, 76)" width="5" height="5"/><rect fill="currentColor" width="4" height="4"/><rect fill="url(#g)" width="3" height="3"/>',
      ),
    );
    expect(linework.map(({ colour }) => colour)).toEqual(['#008080', '#ffffff', '#f0b04c', undefined, undefined]);
    expect(dropped).toEqual(['a gradient or a pattern, drawn in one colour']);
    const framed = readSvgPicture(
      svg(
        '<rect fill="white" stroke="#123" width="9" height="9"/><rect fill="rgba(0, 0, 0, 0)" stroke="red" stroke-width="0" width="9" height="9"/>',
      ),
    );
    expect(framed.linework).toEqual([expect.objectContaining({ kind: 'stroke', colour: '#112233', width: 0.4 })]);
  });

  test('what lets others show through is drawn as on bare paper, and that is said', () => {
    const { linework, dropped } = readSvgPicture(
      svg(
        '<g opacity="0.5"><rect fill="#000" fill-opacity="50%" width="9" height="9"/><rect fill="none" stroke="red" style="stroke-opacity:.5" width="9" height="9"/></g><rect fill="rgba(0, 0, 255, 0.5)" width="9" height="9"/><rect opacity="0" width="9" height="9"/><rect fill="#0f6f67" opacity="1" width="9" height="9"/>',
      ),
    );
    expect(linework.map(({ colour }) => colour)).toEqual(['#bfbfbf', '#ffbfbf', '#8080ff', '#0f6f67']);
    expect(dropped).toEqual(['a part that lets others show through, drawn as on bare paper (3)']);
  });

  test('curves stay close to what they are', () => {
    const { linework } = readSvgPicture(svg('<circle cx="50" cy="25" r="20"/>'));
    const [area] = linework;
    const points = area?.kind === 'fill' ? area.rings[0]! : [];
    for (let i = 0; i < points.length; i += 2) {
      expect(Math.hypot(points[i]! - 20, points[i + 1]! - 10)).toBeCloseTo(8, 1);
    }
    expect(points.length).toBeGreaterThan(40);
  });

  test('nothing that runs or leads elsewhere comes along, and that is said', () => {
    const { linework, dropped } = readSvgPicture(
      svg(
        '<script>alert(1)</script><rect onclick="alert(1)" width="10" height="10"/><image href="https://quillwater.example/a.png"/><text>Words</text><rect fill="#FFFFFF" width="5" height="5"/>',
      ),
    );
    expect(dropped).toEqual([
      'a script (2)',
      'a link to somewhere else',
      'an image in it',
      'text, which has to be turned into outlines first',
    ]);
    expect(JSON.stringify(linework)).not.toContain('alert');
  });

  test.each([
    ['plain words', 'not xml at all', 'no SVG'],
    ['a web page', '<html><body/></html>', 'no SVG'],
    ['no size', '<svg xmlns="http://www.w3.org/2000/svg"><rect width="1" height="1"/></svg>', 'does not say its size'],
    ['words only', svg('<text>Only words</text>'), 'no lines or areas'],
    ['deep nesting', svg('<g>'.repeat(80) + '<rect width="1" height="1"/>' + '</g>'.repeat(80)), 'nested too deep'],
    ['many elements', svg('<title/>'.repeat(6000)), 'more than 5000 elements'],
    ['many lines', svg('<rect width="1" height="1"/>'.repeat(2100)), 'more than 2000 lines and areas'],
    [
      'entities',
      svg('<text>&a;</text>').replace('?>', `?><!DOCTYPE svg [<!ENTITY a "${'x'.repeat(50)}">]>`),
      'no lines or areas',
    ],
  ])('%s: refused in words', (_what, text, message) => {
    expect(() => readSvgPicture(text)).toThrow(message);
  });
});
