import { deflateSync } from 'node:zlib';
import type { HostileFile } from './hostileFile';

interface Stream {
  dictionary: string;
  data: Buffer;
}
type PdfObject = string | Stream;

/** A PDF file of numbered objects, the first of which is its catalogue. */
function pdf(objects: readonly PdfObject[]): Buffer {
  const parts: Buffer[] = [Buffer.from('%PDF-1.7\n')];
  const places: number[] = [];
  let at = parts[0]?.length ?? 0;
  const add = (part: Buffer): void => {
    parts.push(part);
    at += part.length;
  };
  objects.forEach((object, i) => {
    places.push(at);
    add(Buffer.from(`${i + 1} 0 obj\n`));
    if (typeof object === 'string') add(Buffer.from(`${object}\n`));
    else {
      add(Buffer.from(`<<${object.dictionary} /Length ${object.data.length}>>\nstream\n`));
      add(object.data);
      add(Buffer.from('\nendstream\n'));
    }
    add(Buffer.from('endobj\n'));
  });
  const start = at;
  const rows = places.map((place) => `${String(place).padStart(10, '0')} 00000 n \n`).join('');
  add(Buffer.from(`xref\n0 ${objects.length + 1}\n0000000000 65535 f \n${rows}`));
  add(Buffer.from(`trailer\n<</Size ${objects.length + 1} /Root 1 0 R>>\nstartxref\n${start}\n%%EOF\n`));
  return Buffer.concat(parts);
}

/** An A3 page of 1190.55 by 841.89 points with a content of its own. */
const page = (content: Stream, resources = '', more: readonly PdfObject[] = []): Buffer =>
  pdf([
    '<</Type /Catalog /Pages 2 0 R>>',
    '<</Type /Pages /Kids [3 0 R] /Count 1>>',
    `<</Type /Page /Parent 2 0 R /MediaBox [0 0 1190.55 841.89] /Contents 4 0 R /Resources <<${resources}>>>>`,
    content,
    ...more,
  ]);

const plain = (words: string): Stream => ({ dictionary: '', data: Buffer.from(words) });
const LINES = '56 28 1105 785 re S 600 28 200 57 re S\n';
const zeros = (megabytes: number): Buffer => Buffer.alloc(megabytes * 1024 * 1024, 0x20);

/** Data that unpacks to so many MB. */
const packed = (megabytes: number): Buffer => deflateSync(zeros(megabytes), { level: 9 });
let bomb: Buffer | undefined;
const theBomb = (): Buffer => (bomb ??= packed(600));

function ascii85(data: Buffer): Buffer {
  let out = '';
  for (let i = 0; i < data.length; i += 4) {
    const count = Math.min(4, data.length - i);
    let value = 0;
    for (let k = 0; k < 4; k++) value = value * 256 + (data[i + k] ?? 0);
    let group = '';
    for (let k = 0; k < 5; k++) {
      group = String.fromCharCode(33 + (value % 85)) + group;
      value = Math.floor(value / 85);
    }
    out += group === '!!!!!' && count === 4 ? 'z' : group.slice(0, count + 1);
  }
  return Buffer.from(`${out}~>`);
}

/** Runs of 128 equal bytes, of two bytes each. */
const runs = (megabytes: number): Buffer => {
  const data = Buffer.alloc(megabytes * 2 * 8192, 0x20);
  for (let i = 0; i < data.length; i += 2) data[i] = 129;
  return data;
};

const TOO_MUCH = /unpacks to more than|packed twice|needs more than \d+ MB|takes longer than/;

export const HOSTILE_PDF: readonly HostileFile[] = [
  { name: 'sound-page.pdf', bytes: () => page(plain(LINES)), answer: 'any' },
  {
    name: 'cut.pdf',
    bytes: () => page(plain(LINES)).subarray(0, 300),
    answer: /damaged or cut off|no title block|no lines/,
  },
  {
    name: 'no-pages.pdf',
    bytes: () => pdf(['<</Type /Catalog /Pages 2 0 R>>', '<</Type /Pages /Kids [] /Count 0>>']),
    answer: /./,
  },
  {
    name: 'pages-in-a-circle.pdf',
    bytes: () => pdf(['<</Type /Catalog /Pages 2 0 R>>', '<</Type /Pages /Kids [2 0 R] /Count 1>>']),
    answer: /./,
  },
  { name: 'bomb.pdf', bytes: () => page({ dictionary: '/Filter /FlateDecode', data: theBomb() }), answer: TOO_MUCH },
  { name: 'bomb-short-name.pdf', bytes: () => page({ dictionary: '/Filter /Fl', data: theBomb() }), answer: TOO_MUCH },
  {
    name: 'bomb-escaped-name.pdf',
    bytes: () => page({ dictionary: '/F#69lter /#46lateDecode', data: theBomb() }),
    answer: TOO_MUCH,
  },
  {
    name: 'bomb-in-a-bomb.pdf',
    bytes: () => page({ dictionary: '/Filter [/FlateDecode /FlateDecode]', data: deflateSync(theBomb()) }),
    answer: TOO_MUCH,
  },
  {
    name: 'bomb-in-a-bomb-escaped.pdf',
    bytes: () => page({ dictionary: '/Filter [/Fl /#46l#61teDecode]', data: deflateSync(theBomb()) }),
    answer: TOO_MUCH,
  },
  {
    name: 'bomb-by-reference.pdf',
    bytes: () =>
      page({ dictionary: '/Filter 5 0 R', data: deflateSync(theBomb()) }, '', ['[/FlateDecode /FlateDecode]']),
    answer: TOO_MUCH,
  },
  {
    name: 'bomb-as-letters.pdf',
    bytes: () => page({ dictionary: '/Filter [/ASCII85Decode /FlateDecode]', data: ascii85(theBomb()) }),
    answer: TOO_MUCH,
  },
  {
    name: 'bomb-as-letters-short.pdf',
    bytes: () => page({ dictionary: '/Filter [/A85 /Fl]', data: ascii85(theBomb()) }),
    answer: TOO_MUCH,
  },
  {
    name: 'bomb-as-hex.pdf',
    bytes: () => page({ dictionary: '/Filter [/AHx /Fl]', data: Buffer.from(`${theBomb().toString('hex')}>`) }),
    answer: TOO_MUCH,
  },
  { name: 'bomb-of-runs.pdf', bytes: () => page({ dictionary: '/Filter /RL', data: runs(600) }), answer: TOO_MUCH },
  {
    name: 'bomb-of-packed-runs.pdf',
    bytes: () => page({ dictionary: '/Filter [/Fl /RunLengthDecode]', data: deflateSync(runs(600)) }),
    answer: TOO_MUCH,
  },
  {
    name: 'form-in-itself.pdf',
    bytes: () =>
      page(plain(`${LINES}/F Do`), '/XObject <</F 5 0 R>>', [
        {
          dictionary: '/Type /XObject /Subtype /Form /BBox [0 0 900 900] /Resources <</XObject <</F 5 0 R>>>>',
          data: Buffer.from('0 0 1 1 re S /F Do /F Do'),
        },
      ]),
    answer: 'any',
  },
  {
    name: 'forms-in-forms.pdf',
    bytes: () =>
      page(
        plain(`${LINES}/F Do`),
        '/XObject <</F 5 0 R>>',
        Array.from({ length: 20 }, (_, i) => ({
          dictionary: `/Type /XObject /Subtype /Form /BBox [0 0 900 900] /Resources <</XObject <</F ${i + 6} 0 R>>>>`,
          data: Buffer.from(i === 19 ? '0 0 1 1 re S' : '/F Do '.repeat(10)),
        })),
      ),
    answer: TOO_MUCH,
  },
  {
    name: 'tiling-in-itself.pdf',
    bytes: () =>
      page(plain(`${LINES}/Pattern cs /P scn 0 0 900 800 re f`), '/Pattern <</P 5 0 R>>', [
        {
          dictionary:
            '/Type /Pattern /PatternType 1 /PaintType 1 /TilingType 1 /BBox [0 0 10 10] /XStep 10 /YStep 10 /Resources <</Pattern <</P 5 0 R>>>>',
          data: Buffer.from('/Pattern cs /P scn 0 0 9 9 re f'),
        },
      ]),
    answer: 'any',
  },
  {
    name: 'tilings-in-tilings.pdf',
    bytes: () =>
      page(
        plain(`${LINES}/Pattern cs ${'/P scn 0 0 900 800 re f '.repeat(30)}`),
        '/Pattern <</P 5 0 R>>',
        Array.from({ length: 12 }, (_, i) => ({
          dictionary: `/Type /Pattern /PatternType 1 /PaintType 1 /TilingType 1 /BBox [0 0 10 10] /XStep 10 /YStep 10 /Resources <</Pattern <</P ${i + 6} 0 R>>>>`,
          data: Buffer.from(i === 11 ? '0 0 9 9 re f' : `/Pattern cs ${'/P scn 0 0 9 9 re f '.repeat(30)}`),
        })),
      ),
    answer: 'any',
  },
  {
    name: 'operators.pdf',
    bytes: () =>
      page({
        dictionary: '/Filter /FlateDecode',
        data: deflateSync(Buffer.from(LINES + '0 0 1 1 re S '.repeat(4_000_000))),
      }),
    answer: 'any',
  },
  {
    name: 'saved-states.pdf',
    bytes: () =>
      page({ dictionary: '/Filter /FlateDecode', data: deflateSync(Buffer.from(`${'q '.repeat(5_000_000)}${LINES}`)) }),
    answer: 'any',
  },
  {
    name: 'locked.pdf',
    bytes: () =>
      Buffer.from(
        page(plain(LINES))
          .toString('latin1')
          .replace(
            '/Root 1 0 R',
            '/Root 1 0 R /Encrypt <</Filter /Standard /V 1 /R 2 /O (aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa) /U (bbbbbbbbbbbbbbbbbbbbbbbbbbbbbbbb) /P -4>> /ID [(a)(b)]',
          ),
        'latin1',
      ),
    answer: /password|damaged/,
  },
];
