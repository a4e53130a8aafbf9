import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import sharp from 'sharp';
import type { StrokeItem } from '@mendrel/core';
import { emPerCapital } from '../testing/fonts';
import { run, withFile } from '../testing/programs';
import { svgPicture } from './svgPicture';
import { svgFile, svgMarkup } from './svgWriter';

const [WIDTH, HEIGHT] = [300, 200];
const LOOKS = [{ width: 0.18 }, { width: 0.35, dashes: [3, 1] }, { width: 0.25, colour: '#b3402a' }];

const line = (points: number[]) => ({ kind: 'stroke', points, closed: false, layer: '0', part: 'view' }) as const;

/** So many lines strewn over the paper by a seed, of three looks. */
function strewn(count: number, seed: number): StrokeItem[] {
  let state = seed;
  const next = (most: number): number =>
    ((state = (state * 1_103_515_245 + 12_345) % 2_147_483_648) / 2_147_483_648) * most;
  return Array.from({ length: count }, (_, i) => {
    const [x, y] = [next(WIDTH), next(HEIGHT)];
    const points = [x, y, x + next(12) - 6, y + next(12) - 6];
    return { ...line(points), ...LOOKS[i % LOOKS.length]! };
  });
}

const pathsOf = (svg: string): string[] => [...svg.matchAll(/ d="([^"]+)"/g)].map(([, data = '']) => data);
const linesOf = (data: string): string[] => data.split(/(?=M)/);

test('each of many lines is drawn once, beside lines that begin near it', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 6000 }), fc.nat(1e6), (count, seed) => {
      const items = strewn(count, seed);
      const picture = svgPicture(items, HEIGHT, { emPerCapital });
      const all = pathsOf(svgMarkup(items, HEIGHT, { emPerCapital }));
      expect(pathsOf(picture).flatMap(linesOf).sort()).toEqual(all.sort());
      for (const data of pathsOf(picture)) {
        const starts = linesOf(data).map((line) => /^M(\S+?)[ ,](-?[\d.]+)/.exec(line)!.slice(1).map(Number));
        expect(starts.length).toBeLessThanOrEqual(400);
        if (count <= 1200) continue;
        for (const axis of [0, 1]) {
          const along = starts.map((start) => start[axis]!);
          expect(Math.max(...along) - Math.min(...along)).toBeLessThanOrEqual(20.001);
        }
      }
    }),
    { numRuns: 20 },
  );
});

// Reference: rsvg-convert (librsvg2-bin) draws both, line by line and in paths, to the same dots but for what it rounds.
test.each(LOOKS)('many lines of %o look the same as one by one', async (look) => {
  const items = strewn(2000, 7).map(({ points }) => ({ ...line(points), ...look }));
  const options = { emPerCapital, ink: '#000000' };
  const dots = (markup: string): Promise<Buffer> => {
    // Without soft edges: where lines cross, those of one path are softened together.
    const whole = `<g shape-rendering="crispEdges">${markup}</g>`
      // As wide as they are: how wide they are at least is reckoned by browsers only.
      .replace(/ stroke-width="[^"]*"/g, '')
      .replace(/style="stroke-width:max\(([\d.]+)px,[^"]*"/g, 'stroke-width="$1"');
    const file = withFile('lines.svg', svgFile({ width: WIDTH, height: HEIGHT }, whole, new Map()), (file) => {
      run('rsvg-convert', ['-w', '900', file, '-o', `${file}.png`]);
      return readFileSync(`${file}.png`);
    });
    return sharp(file).raw().toBuffer();
  };
  const picture = svgPicture(items, HEIGHT, options);
  expect(pathsOf(picture).length).toBeLessThan(200);
  const [together, each] = [await dots(picture), await dots(svgMarkup(items, HEIGHT, options))];
  const differ = together.filter((dot, i) => dot !== each[i]).length;
  expect(differ / each.length).toBeLessThan(0.002);
});
