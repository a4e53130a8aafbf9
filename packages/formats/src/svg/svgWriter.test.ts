import fc from 'fast-check';
import type { TextItem } from '@mendrel/core';
import { emPerCapital } from '../testing/fonts';
import { run, withFile } from '../testing/programs';
import { testSheet } from '../testing/sheet';
import { escapeXml, fontFamily, svgMarkup, svgPicture, writeSvg } from './svgWriter';

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
  const moves = (svg: string): string[] => [...svg.matchAll(/M[^M"]+/g)].map(([data]) => data).sort();
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
