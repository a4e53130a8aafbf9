import type { OfficeStandard } from '../standard';
import { STARTING_STANDARD } from '../standard';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { standardFindings } from './standardFindings';

const messages = (standard: OfficeStandard): string[] =>
  standardFindings(standard, TEST_TYPEFACES)
    .filter((finding) => finding.weight !== 'note')
    .map((finding) => finding.message);
const role = (id: string) => STARTING_STANDARD.roles.find((each) => each.id === id)!;

test('the standard that a new office starts from contradicts nothing', () => {
  expect(messages(STARTING_STANDARD)).toEqual([]);
});

test.each<[string, Partial<OfficeStandard>, string]>([
  [
    'typefaces',
    { roles: [...STARTING_STANDARD.roles, { ...role('value'), id: 'v2', name: 'Other value', typeface: 'Other' }] },
    'Other value and Value have one height and different typefaces',
  ],
  ['heights', { roles: [{ ...role('caption-inch'), height: 2 }] }, 'Caption 3/32 in is smaller than 3/32 in'],
  [
    'pens',
    { pens: [...STARTING_STANDARD.pens, { id: 'odd', name: 'Odd', width: 0.4 }] },
    'Odd is not in the series of line widths',
  ],
  [
    'layers',
    { layers: [...STARTING_STANDARD.layers, { id: 'spare', name: 'SPARE', pen: 'fine' }] },
    'nothing goes onto layer SPARE',
  ],
  [
    'missing pens',
    { layers: [{ id: 'frame', name: 'F', pen: 'gone' }] },
    'layer F uses the pen “gone”, which is not there',
  ],
])('%s that conflict are found, with rule, measure and limit', (_name, change, message) => {
  const findings = standardFindings({ ...STARTING_STANDARD, ...change }, TEST_TYPEFACES);
  const found = findings.find((finding) => finding.message === message);
  expect(found).toMatchObject({ rule: expect.any(String), measured: expect.any(String), limit: expect.any(String) });
});

// ISO 3098 (from memory): strokes between h/14 and h/10.
test.each([
  [40, 'thinner'],
  [60, undefined],
  [90, 'thicker'],
])('a stem of %d in capitals of 700 is %s', (stem, word) => {
  const face = TEST_TYPEFACES.get('Barlow Semi Condensed')!;
  const found = standardFindings(STARTING_STANDARD, new Map([[face.name, { ...face, stem }]]));
  expect(found.map((finding) => finding.message)).toEqual(
    word === undefined ? [] : [`the strokes of Barlow Semi Condensed are ${word} than those of drawing lettering`],
  );
});
