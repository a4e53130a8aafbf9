import type { TextItem } from '@mendrel/core';
import { emPerCapital, fontFiles } from '../testing/fonts';
import { run, withFile } from '../testing/programs';
import { imageDrawing } from '../testing/image';
import { testSheet } from '../testing/sheet';
import { writePdf } from './pdfWriter';

const POINTS = 72 / 25.4;
const { drawing } = testSheet();
const small = testSheet('ISO A3').drawing;

// References: pdfinfo, pdffonts and pdftotext (poppler-utils) and qpdf look at the file.
describe('a set as other programs see it', () => {
  let pdf: Uint8Array;
  beforeAll(async () => {
    pdf = await writePdf([drawing, small], { fonts: fontFiles, emPerCapital, title: 'Test set' });
  });
  const look = <T>(with_: (file: string) => T): T => withFile('set.pdf', pdf, with_);

  test('has a page a sheet at true size: A1 is 2383.94 x 1683.78 pt', () => {
    const info = look((file) => run('pdfinfo', ['-f', '1', '-l', '2', file]));
    expect(info).toMatch(/Pages:\s+2/);
    expect(info).toMatch(/Page\s+1 size:\s+2383\.94 x 1683\.78 pts/);
    expect(info).toMatch(/Page\s+2 size:\s+1190\.55 x 841\.89 pts/);
    expect(info).toMatch(/Title:\s+Test set/);
  });

  test('is sound', () => {
    expect(look((file) => run('qpdf', ['--check', file]))).toContain('No syntax or stream encoding errors');
  });

  test('has its typefaces embedded', () => {
    const fonts = look((file) => run('pdffonts', [file]))
      .split('\n')
      .slice(2)
      .filter((line) => line.trim() !== '');
    expect(fonts.length).toBeGreaterThan(0);
    for (const line of fonts) expect(line).toMatch(/Barlow.*\byes\s+yes\s+yes\b/);
  });

  test('has text that can be selected, where the layout put it', () => {
    const words = look((file) => run('pdftotext', ['-bbox', '-f', '1', '-l', '1', file, '-']));
    const boxes = [...words.matchAll(/xMin="([\d.]+)" yMin="([\d.]+)" xMax="([\d.]+)" yMax="([\d.]+)">([^<]*)</g)];
    const level = drawing.items.filter(
      (item): item is TextItem => item.kind === 'text' && item.rotation === 0 && /^[\w:-]{3,}$/.test(item.text),
    );
    expect(level.length).toBeGreaterThan(8);
    for (const item of level) {
      const found = boxes.filter((box) => box[5] === item.text);
      const near = found.some(([, x0, , x1]) => {
        const left = Math.abs(Number(x0) - item.at.x * POINTS) < 0.6;
        return left && Math.abs(Number(x1) - (item.at.x + item.width) * POINTS) < 0.6;
      });
      expect([item.text, near]).toEqual([item.text, true]);
    }
    // A box runs from the ascenders to the descenders, with the base line in between.
    const number = boxes.find((box) => box[5] === 'A-201')!;
    const base = (drawing.height - level.find((item) => item.text === 'A-201')!.at.y) * POINTS;
    expect(base).toBeGreaterThan(Number(number[2]));
    expect(base).toBeLessThan(Number(number[4]));
  });
});

// Reference: qpdf shows the page's operators.
test('lines in a pattern and a colour are drawn so, and the next line is continuous again', async () => {
  const line = (y: number) => ({
    kind: 'stroke' as const,
    points: [10, y, 90, y],
    closed: false,
    width: 0.5,
    layer: '0',
    part: 'block' as const,
  });
  const drawing = {
    width: 100,
    height: 50,
    items: [{ ...line(20), dashes: [6, 1.5], colour: '#ff0000' }, line(30)],
  };
  const pdf = await writePdf([drawing], { fonts: new Map(), emPerCapital, title: 'Dashes' });
  const operators = withFile('dashes.pdf', pdf, (file) =>
    run('qpdf', ['--qdf', '--object-streams=disable', file, '-']),
  );
  expect(operators).toMatch(/\[17\.007874 4\.251969\] 0 d/);
  expect(operators).toMatch(/1 0 0 SCN/);
  expect(operators.indexOf('[] 0 d')).toBeGreaterThan(operators.indexOf('4.251969'));
});

// Reference: pdfimages and pdftoppm (poppler-utils).
test('an image is kept with its pixels and cut where it is to be cut', async () => {
  const pdf = await writePdf([imageDrawing], { fonts: new Map(), emPerCapital, title: 'Image' });
  const images = withFile('image.pdf', pdf, (file) => run('pdfimages', ['-list', file])).split('\n');
  expect(images[2]).toMatch(/image\s+4\s+2\s+rgb/);
  // At 25.4 dots to the inch a dot is a millimetre.
  const page = withFile('image.pdf', pdf, (file) => {
    run('pdftoppm', ['-r', '25.4', '-png', '-singlefile', file, `${file}-page`]);
    return run('file', ['-b', `${file}-page.png`]);
  });
  // The sheet of 210 by 297 mm, rounded up to whole dots.
  expect(page).toContain('211 x 298');
});
