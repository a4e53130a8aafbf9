import fc from 'fast-check';
import type { TextItem } from '@mendrel/core';
import { emPerCapital } from '../testing/fonts';
import { run, withFile } from '../testing/programs';
import { imageDrawing } from '../testing/image';
import { testSheet } from '../testing/sheet';
import { svgPicture } from './svgPicture';
import { escapeXml, fontFamily, svgMarkup, writeSvg } from './svgWriter';

const { drawing } = testSheet();

// Reference: rsvg-convert (librsvg2-bin) renders the file.
test('a sheet is rendered by librsvg at its size', () => {
  const size = withFile('sheet.svg', writeSvg(drawing, { emPerCapital }), (file) => {
    run('rsvg-convert', ['-w', '841', file, '-o', `${file}.png`]);
    return run('file', ['-b', `${file}.png`]);
  });
  expect(size).toContain('PNG image data, 841 x 594');
});

test('says its size in millimetres, with every text once a line', () => {
  const svg = writeSvg(drawing, { emPerCapital });
  expect(svg).toContain('width="841mm" height="594mm" viewBox="0 0 841 594"');
  const texts = drawing.items.filter((item): item is TextItem => item.kind === 'text' && item.text !== '');
  expect(svg.match(/<text /g)).toHaveLength(texts.length);
});

test('whatever a text holds, nothing of it becomes markup', () => {
  fc.assert(
    fc.property(fc.string({ unit: 'binary' }), (text) => {
      expect(escapeXml(text)).not.toMatch(/[<>"']|&(?!(amp|lt|gt|quot|#39);)/);
    }),
  );
});

test('a typeface name is a family and a weight', () => {
  expect(fontFamily('Barlow Semi Condensed SemiBold')).toEqual({ family: 'Barlow Semi Condensed', weight: 600 });
  expect(fontFamily('Barlow Semi Condensed')).toEqual({ family: 'Barlow Semi Condensed', weight: 400 });
});

test('a picture draws the same lines and texts in fewer elements', () => {
  const whole = svgMarkup(drawing.items, drawing.height, { emPerCapital });
  const picture = svgPicture(drawing.items, drawing.height, { emPerCapital });
  const moves = (svg: string): string[] =>
    [...svg.matchAll(/ d="([^"]+)"/g)].flatMap(([, data = '']) => data.split(/(?=M)/)).sort();
  expect(moves(picture)).toEqual(moves(whole));
  expect(picture.match(/<text /g)).toHaveLength(whole.match(/<text /g)?.length ?? 0);
  expect(picture.match(/<path /g)?.length).toBeLessThan(12);
});

test('dashes and colours of lines and lettering are written, on the screen as in the file', () => {
  const items = [
    {
      kind: 'stroke' as const,
      points: [0, 5, 50, 5],
      closed: false,
      width: 0.5,
      dashes: [6, 1.5],
      colour: '#b3402a',
      layer: '0',
      part: 'block' as const,
    },
  ];
  for (const svg of [svgMarkup(items, 10, { emPerCapital }), svgPicture(items, 10, { emPerCapital })]) {
    expect(svg).toContain('stroke="#b3402a"');
    expect(svg).toContain('stroke-dasharray="6 1.5"');
  }
});

// Reference: rsvg-convert (librsvg2-bin) shows the image, and only what is not cut away.
test('an image is carried along and cut where it is to be cut', () => {
  const svg = writeSvg(imageDrawing, { emPerCapital });
  expect(svg).toContain('<svg x="40" y="157" width="40" height="40" viewBox="40 157 40 40"><image');
  const seen = withFile('image.svg', svg, (file) => {
    run('rsvg-convert', ['-w', '210', file, '-o', `${file}.png`]);
    // Debian's Python reads the picture: the image's middle is red, what was cut away is not painted.
    return run('/usr/bin/python3', [
      '-c',
      `import sys, zlib, struct
data = open(sys.argv[1], 'rb').read()
at, width, rows, body = 8, 0, 0, b''
while at < len(data):
    length, kind = struct.unpack('>I4s', data[at:at + 8])
    chunk = data[at + 8:at + 8 + length]
    if kind == b'IHDR': width, rows, depth, colour = struct.unpack('>IIBB', chunk[:10])
    if kind == b'IDAT': body += chunk
    at += 12 + length
channels = {2: 3, 6: 4}[colour]
raw, line, out = zlib.decompress(body), bytearray(width * channels), []
for row in range(rows):
    start = row * (width * channels + 1)
    kind, now = raw[start], bytearray(raw[start + 1:start + 1 + width * channels])
    for i in range(len(now)):
        a = now[i - channels] if i >= channels else 0
        b, c = line[i], line[i - channels] if i >= channels else 0
        p = a + b - c
        near = a if abs(p - a) <= abs(p - b) and abs(p - a) <= abs(p - c) else b if abs(p - b) <= abs(p - c) else c
        now[i] = (now[i] + [0, a, b, (a + b) // 2, near][kind]) % 256
    line = now
    out.append(bytes(now))
dot = lambda x, y: list(out[y][x * channels:x * channels + channels])
print(dot(60, 177), dot(25, 177))`,
      `${file}.png`,
    ]);
  });
  expect(seen.trim()).toBe('[200, 30, 30, 255] [0, 0, 0, 0]');
});
