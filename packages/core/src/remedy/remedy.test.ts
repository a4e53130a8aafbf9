import type { Design } from '../design';
import { setDimension } from '../design';
import { solveDesign } from '../layout';
import { STARTING_STANDARD } from '../standard';
import { caption, cell, designWith, divided, field } from '../testing/designs';
import { TEST_TYPEFACES } from '../testing/typefaces';
import type { Trial } from './remedy';
import { whatItWouldTake } from './remedy';

const trialWith =
  (values: Record<string, string>): Trial =>
  (design, size) => {
    try {
      return solveDesign(design, { size, values, standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES });
    } catch {
      return undefined;
    }
  };

const strip = (contents: Parameters<typeof cell>[1]): Design =>
  setDimension(
    setDimension(
      designWith(
        divided('root', 'rows', [{ share: 1 }, { fixed: 'row' }], [cell('a'), cell('b', contents)]),
        { dock: 'right', width: 'strip' },
        { dimensions: [{ name: 'unused', formula: '7 mm' }] },
      ),
      'strip',
      '40 mm',
    ),
    'row',
    '12 mm',
  );

test('the smallest change of a dimension is found, to the increment, and it is what was said', () => {
  const values = { 'project.name': 'Brackenmouth Ferry Terminal' };
  const design = strip([field('f', '{project.name}', { role: 'title' })]);
  const remedies = whatItWouldTake(design, trialWith(values), 0.5);
  expect(remedies.map(({ size, dimension, before, after }) => [size, dimension, before, after])).toEqual([
    ['ISO A1', 'strip', 1, 0],
    ['ISO A3', 'strip', 1, 0],
  ]);
  const [first] = remedies as [(typeof remedies)[number]];
  const errorsAt = (mm: number): number =>
    trialWith(values)(setDimension(design, 'strip', `${mm} mm`, 'ISO A1'), 'ISO A1')!.findings.length;
  expect(errorsAt(first.to)).toBe(0);
  expect(errorsAt(first.to - 0.5)).toBe(1);
  expect(first.design.dimensions.find((each) => each.name === 'strip')?.bySize).toEqual({ 'ISO A1': `${first.to} mm` });
});

test('a dimension that is too large is made smaller', () => {
  const design = setDimension(strip([]), 'row', '600 mm');
  const remedies = whatItWouldTake(design, trialWith({}), 0.5).filter((each) => each.size === 'ISO A1');
  // The drawing space of A1 is 574 mm high (ISO 5457, from memory).
  expect(remedies).toMatchObject([{ dimension: 'row', from: 600, to: 574, after: 0 }]);
});

test('nothing is proposed where no dimension helps, or nothing is wrong, or the design is locked', () => {
  const wide = caption('c', 'x'.repeat(400), { role: 'title' });
  expect(whatItWouldTake(strip([wide]), trialWith({}), 0.5)).toEqual([]);
  expect(whatItWouldTake(strip([]), trialWith({}), 0.5)).toEqual([]);
  expect(whatItWouldTake({ ...setDimension(strip([]), 'row', '600 mm'), locked: true }, trialWith({}), 0.5)).toEqual(
    [],
  );
});
