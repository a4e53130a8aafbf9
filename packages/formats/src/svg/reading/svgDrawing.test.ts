import type { Item } from '@mendrel/core';
import { LegacyFileError } from '../../legacy/legacyFileError';
import { RED_PNG } from '../../testing/image';
import { readSvgDrawing } from './svgDrawing';

const svg = (inside: string, head = 'width="100mm" height="50mm" viewBox="0 0 1000 500"'): string =>
  `<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" ${head}>${inside}</svg>`;
const items = (inside: string, head?: string): Item[] => readSvgDrawing(svg(inside, head)).items;
const rounded = (points: readonly number[]): number[] => points.map((each) => Math.round(each * 1e6) / 1e6);

test('lines come out in mm from the lower-left corner, whatever the groups over them do', () => {
  const [line] = items(
    '<g transform="translate(100 0) scale(2)"><line x1="0" y1="0" x2="50" y2="50" stroke="#000"/></g>',
  );
  expect(line).toMatchObject({ kind: 'stroke', closed: false });
  expect(rounded((line as Extract<Item, { kind: 'stroke' }>).points)).toEqual([10, 50, 20, 40]);
});

test('styles count: sheets by class, attributes, and the element itself last', () => {
  const found = items(
    `<style>.a{stroke:#000;fill:none;stroke-width:5px} .gone{display:none}</style>
     <rect class="a" x="0" y="0" width="100" height="100"/>
     <rect class="a" style="stroke:none" x="0" y="0" width="100" height="100"/>
     <rect class="a gone" x="0" y="0" width="100" height="100"/>`,
  );
  expect(found).toHaveLength(1);
  expect(found[0]).toMatchObject({ kind: 'stroke', closed: true });
  expect((found[0] as Extract<Item, { kind: 'stroke' }>).width).toBeCloseTo(0.5, 9);
});

test('widths and dashes are those of the pen that a line was drawn with', () => {
  const found = items(
    `<g transform="scale(2)" stroke="#000" stroke-width="2" stroke-dasharray="10, 5"><path d="M0 0h100"/>
       <path stroke-dasharray="3" d="M0 0h100"/><path style="stroke-dasharray:none" d="M0 0h100"/></g>`,
  ) as Extract<Item, { kind: 'stroke' }>[];
  expect(found.map(({ oldPen }) => oldPen?.drawnWidth)).toEqual([0.4, 0.4, 0.4]);
  expect(found.map(({ dashes }) => dashes && rounded(dashes))).toEqual([[2, 1], [0.6, 0.6], undefined]);
});

test('every line of a text is a text, at its place, by its anchor and its turn', () => {
  const [one, two, three] = items(
    `<text x="100" y="100" font-size="50">Projekt &amp; B&#252;ro<tspan x="100" dy="60">zweite Zeile</tspan></text>
     <text transform="translate(500 500) rotate(-90)" font-size="40" text-anchor="middle">SHEET</text>`,
  ) as Extract<Item, { kind: 'text' }>[];
  expect(one).toMatchObject({ text: 'Projekt & Büro', at: { x: 10, y: 40 }, rotation: 0, align: 'left' });
  expect(one!.height).toBeCloseTo(3.58, 6);
  expect(two).toMatchObject({ text: 'zweite Zeile' });
  expect(two!.at.y).toBeCloseTo(34, 9);
  expect(three).toMatchObject({ text: 'SHEET', rotation: 90, align: 'centre' });
  // Its middle stands at the anchor; it runs upward.
  expect(three!.at.y + three!.width / 2).toBeCloseTo(0, 9);
});

test('repeated parts are drawn where they are asked for, on the layer they are asked from', () => {
  const found = readSvgDrawing(
    svg(
      `<defs><g id="mark"><path d="M0 0h10" stroke="#000"/></g></defs>
       <g id="Frame"><use href="#mark" x="100" y="0"/><use href="#lost"/></g>`,
    ),
  );
  expect(found.items).toHaveLength(1);
  expect(found.items[0]).toMatchObject({ layer: 'mark' });
  expect(found.dropped).toEqual([{ layer: 'Frame', entities: 1, why: 'it repeats a part that is not in the file' }]);
});

test('what covers nothing at all is not drawn', () => {
  const { items: left } = readSvgDrawing(
    svg(
      '<g opacity="0"><rect width="9" height="9"/></g><rect fill="#000" stroke="#000" fill-opacity="0" width="9" height="9"/>',
    ),
  );
  expect(left.map(({ kind }) => kind)).toEqual(['stroke']);
});

test('what is hidden or no linework is counted', () => {
  const { items: left, dropped } = readSvgDrawing(
    svg('<rect visibility="hidden" width="9" height="9"/><image href="a.png"/><video href="b"/><video href="c"/>'),
  );
  expect(left).toEqual([]);
  expect(dropped).toEqual([
    { layer: '0', entities: 1, why: 'it is hidden' },
    { layer: '0', entities: 1, why: 'a picture that does not stand upright, or has no size' },
    { layer: '0', entities: 2, why: '<video> is not a kind of linework that a title block is made of' },
  ]);
});

test('a picture in the file keeps its proportions in its box; one beside the file is named, and nothing is fetched', () => {
  const { items: found, named } = readSvgDrawing(
    svg(
      `<g id="Marks"><image x="100" y="100" width="400" height="400" href="data:image/png;base64,${RED_PNG}"/>
       <image x="600" y="100" width="200" height="100" xlink:href="file:///office/logos/quill.png"/></g>`,
    ),
  );
  // The picture is twice as wide as high, so it stands in the middle of its square.
  expect(found).toMatchObject([
    { kind: 'image', layer: 'Marks', x: 10, y: 10, width: 40, height: 20, pixels: { columns: 4, rows: 2 } },
  ]);
  expect(named).toMatchObject([{ name: 'quill.png', x: 60, y: 30, width: 20, height: 10 }]);
});

test('a drawing without units is one of pixels, 96 to the inch', () => {
  const [line] = items('<line x1="0" y1="0" x2="96" y2="0" stroke="red"/>', 'viewBox="0 0 960 480"');
  expect(rounded((line as Extract<Item, { kind: 'stroke' }>).points)).toEqual([0, 127, 25.4, 127]);
});

test.each([
  ['a page of the web', '<html></html>', 'no SVG drawing'],
  ['one that breaks off', '<svg width="10" height="10"><g><path', 'damaged: line 1: unclosed tag'],
  ['one without a size', '<svg><g/></svg>', 'does not say its size'],
  ['groups without end', svg('<g>'.repeat(200) + '</g>'.repeat(200)), 'nested more than 60 deep'],
  ['parts that repeat themselves', svg('<g id="a"><use href="#a"/></g>'), 'nested more than 60 deep'],
  [
    'parts that multiply',
    svg(
      Array.from({ length: 30 }, (_, i) => `<g id="g${i}">${`<use href="#g${i + 1}"/>`.repeat(10)}</g>`).join('') +
        '<path id="g30" d="M0 0h1" stroke="red"/>',
    ),
    'repeats its parts more than 20000 times',
  ],
])('%s is refused in words', (_name, text, words) => {
  expect(() => readSvgDrawing(text)).toThrow(LegacyFileError);
  expect(() => readSvgDrawing(text)).toThrow(words);
});

test('spaces count one by one where the file says so, and else as one', () => {
  const words = (attributes: string, inside = 'A  B   C'): unknown =>
    items(`<text ${attributes} x="0" y="100" font-size="20">${inside}</text>`).map(
      (item) => item.kind === 'text' && item.text,
    );
  expect(words('')).toEqual(['A B C']);
  expect(words('xml:space="preserve"')).toEqual(['A  B   C']);
  expect(
    words('xml:space="preserve"', '<tspan x="0">A  B</tspan><tspan xml:space="default" x="50">C  D</tspan>'),
  ).toEqual(['A  B', 'C D']);
});
