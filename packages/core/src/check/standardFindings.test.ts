import type { OfficeStandard, SheetSize } from '../standard';
import { STARTING_STANDARD } from '../standard';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { deviceFindings } from './frameFindings';
import { standardFindings } from './standardFindings';

const messages = (standard: OfficeStandard): string[] =>
  standardFindings(standard, TEST_TYPEFACES)
    .filter((finding) => finding.weight !== 'note')
    .map((finding) => finding.message);
const rule = (id: string) => STARTING_STANDARD.frameRules.find((each) => each.id === id)!;
const own = (name: string, width: number, height: number): SheetSize => ({
  name,
  series: 'Office',
  width,
  height,
  unit: 'mm',
  roll: false,
});
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
    { pens: [...STARTING_STANDARD.pens, { id: 'odd', name: 'Odd', width: 0.4, colour: '#000000' }] },
    'Odd is not in the series of line widths',
  ],
  [
    'layers',
    {
      layers: [
        ...STARTING_STANDARD.layers,
        { id: 'spare', name: 'SPARE', pen: 'fine', pattern: 'continuous', holds: [] },
      ],
    },
    'nothing goes onto layer SPARE',
  ],
  [
    'missing pens',
    { layers: [{ id: 'frame', name: 'F', pen: 'gone', pattern: 'continuous', holds: ['frame'] }] },
    'layer F uses the pen “gone”, which is not there',
  ],
  ['uses without a layer', { layers: STARTING_STANDARD.layers.slice(1) }, 'no layer takes frame and sheet edge'],
  [
    'binding edges',
    { frameRules: [{ ...rule('iso'), margins: { left: 15, right: 10, top: 10, bottom: 10 } }] },
    'the binding edge of ISO 5457 is narrower than the filing margin',
  ],
  [
    'zones',
    { frameRules: [{ ...rule('iso'), margins: { left: 20, right: 10, top: 3, bottom: 10 } }] },
    'the zone marks of ISO 5457 do not fit outside the frame at the top',
  ],
  [
    'heights off the series',
    { roles: [{ ...role('value'), height: 3.2 }] },
    "the height of Value is not in the office's series",
  ],
  [
    'typefaces that are gone',
    { roles: [{ ...role('value'), typeface: 'Lost' }] },
    'the typeface of Value is not there',
  ],
  ['sizes that are almost a shipped one', { sizes: [own('Big', 840, 600)] }, 'Big is almost ISO A1'],
  ['rolls', { sizes: [{ ...own('Long', 2000, 700), roll: true }] }, 'no device has a roll for Long'],
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
  const found = standardFindings(STARTING_STANDARD, {
    get: (name) => (name === face.name ? { ...face, stem } : TEST_TYPEFACES.get(name)),
  });
  expect(found.map((finding) => finding.message)).toEqual(
    word === undefined ? [] : [`the strokes of Barlow Semi Condensed are ${word} than those of drawing lettering`],
  );
});

describe('frames on devices', () => {
  test('a frame that a device cannot print is found at its edge, with the millimetres', () => {
    const found = deviceFindings(STARTING_STANDARD).find((finding) => finding.where.size === 'ISO A1');
    expect(found).toMatchObject({
      message: 'the frame of ISO A1 falls 2 mm outside what Plan copier prints',
      measured: 'right 10 mm',
      limit: 'right 12 mm',
      by: 2,
    });
  });

  test('a wider roll leaves its sides free: only the ends of the piece are lost', () => {
    const standard = {
      ...STARTING_STANDARD,
      devices: [{ id: 'r', name: 'R', papers: [], rolls: [{ width: 914, longest: 5000, side: 30, lead: 25 }] }],
    };
    const a1 = deviceFindings(standard).find((finding) => finding.where.size === 'ISO A1');
    expect(a1).toMatchObject({ measured: 'left 20 mm, right 10 mm', limit: 'left 25 mm, right 25 mm', by: 15 });
    const a0 = deviceFindings(standard).find((finding) => finding.where.size === 'ISO A0');
    expect(a0?.limit).toBe('left 25 mm, right 25 mm');
    expect(deviceFindings(standard).some((finding) => finding.where.size === 'ISO B0')).toBe(false);
  });
});
