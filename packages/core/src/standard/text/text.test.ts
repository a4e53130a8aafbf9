import { formatLength } from '../../quantity';
import { STARTING_STANDARD } from '../officeStandard';
import { realSizeTable } from './realSizes';
import { reducedPrint, reduction } from './reducedPrint';

const heightIn = (system: 'metric' | 'imperial', role: string, scale: string): string => {
  const { roles, rows } = realSizeTable(STARTING_STANDARD, system);
  const column = roles.findIndex((each) => each.id === role);
  return formatLength(
    rows.find((row) => row.scale.words === scale)!.heights[column]!,
    system === 'metric' ? 'mm' : 'in',
    true,
  );
};

// Worked example 5 (common practice): real height = paper height x scale denominator.
test.each([
  ['imperial', 'value-inch', `1/4" = 1'-0"`, '6 in'],
  ['imperial', 'caption-inch', `1/8" = 1'-0"`, '9 in'],
  ['metric', 'value', '1:100', '350 mm'],
  ['metric', 'caption-large', '1:50', '125 mm'],
] as const)('%s: %s at %s is drawn %s high', (system, role, scale, words) => {
  expect(heightIn(system, role, scale)).toBe(words);
});

test('roles in inches go with scales in feet and inches, and nothing is left out', () => {
  const [metric, imperial] = [realSizeTable(STARTING_STANDARD, 'metric'), realSizeTable(STARTING_STANDARD, 'imperial')];
  expect(metric.rows.length + imperial.rows.length).toBe(STARTING_STANDARD.scales.length);
  expect(metric.roles.length + imperial.roles.length).toBe(
    STARTING_STANDARD.roles.filter((role) => role.use !== 'zone').length,
  );
});

const A1_ON_A3 = { from: 'ISO A1', to: 'ISO A3' };

// Common practice: an A1 sheet printed at A3 is half size (linear), so 3.5 mm becomes 1.75 mm.
test('an A1 sheet on A3 is half size', () => {
  expect(reduction(STARTING_STANDARD, A1_ON_A3)).toBeCloseTo(0.5, 2);
  const value = reducedPrint(STARTING_STANDARD, A1_ON_A3).find(({ role }) => role.id === 'value')!;
  expect(value.height).toBeCloseTo(1.75, 2);
  expect(value.legible).toBe(false);
  expect(
    reducedPrint({ ...STARTING_STANDARD, leastHeight: 1.7 }, A1_ON_A3).find(({ role }) => role.id === 'value')!.legible,
  ).toBe(true);
});
