import type { HostileFile } from './hostileFile';

const svg = (inside: string, head = 'viewBox="0 0 420 297" width="420mm" height="297mm"'): Buffer =>
  Buffer.from(`<?xml version="1.0"?><svg xmlns="http://www.w3.org/2000/svg" ${head}>${inside}</svg>`);

const box = (x: number, y: number, w: number, h: number): string =>
  `<rect x="${x}" y="${y}" width="${w}" height="${h}" fill="none" stroke="black"/>`;
const text = (words: string, x: number, y: number, size: number): string =>
  `<text x="${x}" y="${y}" font-size="${size}">${words}</text>`;

/** An A3 sheet with a frame and a block of three cells, which can be read. */
const SHEET = [
  box(0, 0, 420, 297),
  box(20, 10, 390, 277),
  box(230, 267, 90, 20),
  box(320, 267, 90, 20),
  box(230, 247, 180, 20),
  text('PROJECT', 232, 251, 2.5),
  text('Harbour Library', 232, 264, 7),
  text('TITLE', 232, 271, 2.5),
  text('Ground floor plan', 232, 284, 5),
  text('DRAWING NO.', 322, 271, 2.5),
  text('B-201', 322, 284, 7),
].join('');

const many = (count: number, make: (i: number) => string): string =>
  Array.from({ length: count }, (_, i) => make(i)).join('');

export const HOSTILE_SVG: readonly HostileFile[] = [
  { name: 'sound.svg', bytes: () => svg(SHEET), answer: 'read' },
  { name: 'utf16.svg', bytes: () => Buffer.from(`\ufeff${svg(SHEET).toString()}`, 'utf16le'), answer: 'read' },
  { name: 'cut.svg', bytes: () => svg(SHEET).subarray(0, 500), answer: /this SVG file is damaged: line 1/ },
  {
    name: 'damaged-head.svg',
    bytes: () => Buffer.from(svg(SHEET).toString().replace('<?xml', '<?xnl').replace('?>', '>')),
    answer: /SVG/,
  },
  { name: 'cdata.svg', bytes: () => svg(`${SHEET}<text><![CDATA[${'x'.repeat(300_000)}]]></text>`), answer: 'read' },
  {
    name: 'many-cdata.svg',
    bytes: () => svg(`${SHEET}<text>${'<![CDATA[x]]>'.repeat(100_000)}</text>`),
    answer: 'any',
  },
  {
    name: 'entities.svg',
    bytes: () =>
      Buffer.from(
        `<!DOCTYPE svg [<!ENTITY a0 "ha">${many(30, (i) => `<!ENTITY a${i + 1} "&a${i};&a${i};&a${i};">`)}]>${svg(
          SHEET + text('&a30;', 30, 30, 5),
        )
          .toString()
          .replace(/^<\?xml[^>]*>/, '')}`,
      ),
    answer: 'read',
  },
  {
    name: 'entity-elsewhere.svg',
    bytes: () =>
      Buffer.from(
        `<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/hostname">]>${svg(SHEET + text('&x;', 30, 30, 5))
          .toString()
          .replace(/^<\?xml[^>]*>/, '')}`,
      ),
    answer: 'read',
  },
  { name: 'deep.svg', bytes: () => svg('<g>'.repeat(100_000) + '</g>'.repeat(100_000)), answer: /deep/ },
  {
    name: 'uses.svg',
    bytes: () => svg(`${SHEET}<defs><g id="e"/></defs>${'<use href="#e"/>'.repeat(150_000)}`),
    answer: 'any',
  },
  {
    name: 'uses-in-uses.svg',
    bytes: () =>
      svg(
        `${SHEET}<defs>${many(30, (i) => `<g id="u${i}">${i === 29 ? '<path d="M0 0L1 1" stroke="black"/>' : many(10, () => `<use href="#u${i + 1}"/>`)}</g>`)}</defs><use href="#u0"/>`,
      ),
    answer: /repeats its parts/,
  },
  { name: 'use-of-itself.svg', bytes: () => svg(`${SHEET}<g id="s"><use href="#s"/></g>`), answer: /deep|repeats/ },
  {
    name: 'long-path.svg',
    bytes: () => svg(`${SHEET}<path stroke="black" d="M0 0${many(300_000, (i) => `L${i % 397} ${i % 281}`)}"/>`),
    answer: 'any',
  },
  {
    name: 'subpaths.svg',
    bytes: () => svg(`${SHEET}<path stroke="black" d="${many(60_000, (i) => `M${i % 397} ${i % 281}h1`)}"/>`),
    answer: 'any',
  },
  {
    name: 'arcs.svg',
    bytes: () =>
      svg(
        `${SHEET}<path stroke="black" fill="none" d="M0 0${many(20_000, (i) => `A1e9 1e9 0 0 1 ${i % 397} ${i % 281}`)}"/>`,
      ),
    answer: 'any',
  },
  {
    name: 'points.svg',
    bytes: () => svg(`${SHEET}<polyline stroke="black" points="${many(300_000, (i) => `${i % 397},${i % 281} `)}"/>`),
    answer: 'any',
  },
  {
    name: 'rules.svg',
    bytes: () => svg(`<style>${many(100_000, (i) => `.c${i},.d${i}{stroke:#000;fill:none}`)}</style>${SHEET}`),
    answer: 'read',
  },
  {
    name: 'rules-without-end.svg',
    bytes: () => svg(`<style>${'.a,'.repeat(300_000)}{stroke:red}${'/*'.repeat(100_000)}</style>${SHEET}`),
    answer: 'any',
  },
  {
    name: 'classes.svg',
    bytes: () => svg(`${SHEET}<rect class="${'a '.repeat(500_000)}" width="1" height="1"/>`),
    answer: 'read',
  },
  {
    name: 'styles.svg',
    bytes: () => svg(`${SHEET}${many(20_000, () => `<rect style="${'a:b;'.repeat(50)}" width="1" height="1"/>`)}`),
    answer: 'any',
  },
  {
    name: 'transforms.svg',
    bytes: () => svg(`${SHEET}${many(300, () => `<g transform="${'scale(1) '.repeat(3000)}"/>`)}`),
    answer: 'any',
  },
  {
    name: 'nothing-in-texts.svg',
    bytes: () => svg(SHEET.replace('B-201', 'B-2\u000001')),
    answer: /SVG file is damaged/,
  },
  {
    name: 'dashes.svg',
    bytes: () => svg(`${SHEET}<path stroke="black" stroke-dasharray="${'1 '.repeat(500_000)}" d="M0 0L9 9"/>`),
    answer: 'read',
  },
];
