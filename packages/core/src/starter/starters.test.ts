import { validateDesign } from '../design';
import { solveDesign } from '../layout';
import { parametersOf, sheetSize, STARTING_STANDARD } from '../standard';
import { tryOnValues } from '../parameter';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { starterDesign, STARTERS } from './starters';

const ON = { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };
const METRIC = ['ISO A0', 'ISO A1', 'ISO A2', 'ISO A3'];
const INCHES = ['ARCH E', 'ARCH D', 'ARCH C', 'ASME B'];

describe.each(STARTERS.map((each) => each.key))('%s', (key) => {
  test.each([
    ['mm', METRIC],
    ['in', INCHES],
  ] as const)('in %s is sound, and nothing of it has too little room or spills with typical values', (unit, names) => {
    const design = starterDesign(
      key,
      'New',
      unit,
      names.map((name) => sheetSize(name)),
      STARTING_STANDARD,
    );
    expect(validateDesign(design)).toEqual([]);
    const values = tryOnValues('typical', parametersOf(STARTING_STANDARD));
    for (const { size } of design.sizes) {
      const { findings } = solveDesign(design, { size, values, ...ON });
      expect(findings.filter((each) => each.weight === 'error').map((each) => `${size}: ${each.message}`)).toEqual([]);
    }
  });
});

test('the corner block is 180 mm wide in the lower right corner of the drawing space, on A4 as wide as that (ISO 5457 and 7200, from memory)', () => {
  const design = starterDesign(
    'corner-block',
    'New',
    'mm',
    ['ISO A3', 'ISO A4'].map((name) => sheetSize(name)),
    STARTING_STANDARD,
  );
  const [a3, a4] = design.sizes.map(({ size }) => solveDesign(design, { size, values: {}, ...ON }).panels[0]);
  expect(a3).toMatchObject({ x: 230, y: 10, width: 180, height: 60 });
  expect(a4).toMatchObject({ x: 20, width: 180 });
});
