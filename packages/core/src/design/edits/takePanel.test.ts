import fc from 'fast-check';
import { solveDesign } from '../../layout';
import { STARTING_STANDARD, sizesOf } from '../../standard';
import { starterDesign, STARTERS } from '../../starter';
import { cell, designWith, divided, field } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import type { Design } from '../schema';
import { validateDesign } from '../validate';
import { forSizes } from './designEdits';
import { takePanel } from './takePanel';

const source: Design = {
  ...designWith(
    divided('root', 'rows', [{ share: 1 }, { fixed: 'low' }], [cell('a'), cell('b', [field('f', '{sheet.title}')])]),
    { dock: 'right', width: 'strip' },
  ),
  dimensions: [
    { name: 'unused', formula: '1 mm' },
    { name: 'base', formula: '40 mm', bySize: { 'ISO A3': '30 mm', 'ISO A0': '50 mm' } },
    { name: 'strip', formula: 'base * 2' },
    { name: 'low', formula: '20 mm' },
  ],
};
const target = (more: Partial<Design> = {}): Design => ({
  ...designWith(cell('root'), { dock: 'bottom', height: '50 mm' }),
  ...more,
});

describe('a panel of another design', () => {
  test('comes with the dimensions that it is measured by, and with those that these are computed from', () => {
    const taken = takePanel(target(), source, 'panel');
    expect(validateDesign(taken)).toEqual([]);
    expect(taken.panels.map(({ dock, width }) => [dock, width])).toEqual([
      ['bottom', undefined],
      ['right', 'strip'],
    ]);
    expect(taken.dimensions).toEqual([
      // The design serves A1 and A3, not A0.
      { name: 'base', formula: '40 mm', bySize: { 'ISO A3': '30 mm' } },
      { name: 'strip', formula: 'base * 2' },
      { name: 'low', formula: '20 mm' },
    ]);
  });

  test('takes a dimension that is there and says the same, and names its own anew where it says something else', () => {
    const dimensions = [
      { name: 'low', formula: '20 mm' },
      { name: 'base', formula: '99 mm' },
      { name: 'base2', formula: '1 mm' },
    ];
    const taken = takePanel(target({ dimensions }), source, 'panel');
    expect(validateDesign(taken)).toEqual([]);
    expect(taken.dimensions).toEqual([
      ...dimensions,
      { name: 'base3', formula: '40 mm', bySize: { 'ISO A3': '30 mm' } },
      { name: 'strip', formula: 'base3 * 2' },
    ]);
    const on = { size: 'ISO A1', values: {}, standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };
    expect(solveDesign(taken, on).panels[1]).toMatchObject({ width: 80 });
  });

  test('may be taken from any starter into any other, again and again', () => {
    const sizes = sizesOf(STARTING_STANDARD).filter(({ name }) => ['ISO A1', 'ISO A3', 'ARCH D'].includes(name));
    const designs = STARTERS.map(({ key }) => starterDesign(key, key, 'mm', sizes, STARTING_STANDARD));
    const one = fc.nat({ max: designs.length - 1 });
    fc.assert(
      fc.property(one, fc.array(one, { minLength: 1, maxLength: 4 }), (into, froms) => {
        let now = designs[into]!;
        for (const from of froms) for (const { id } of designs[from]!.panels) now = takePanel(now, designs[from]!, id);
        expect(validateDesign(now)).toEqual([]);
      }),
    );
  });

  test('is refused where the design is locked, or the panel is gone', () => {
    expect(() => takePanel(target({ locked: true }), source, 'panel')).toThrow(/locked/);
    expect(() => takePanel(target(), source, 'gone')).toThrow('no longer in the other design');
  });
});

test('a design for other sizes keeps how it stands on those it served, and no values for those that it does not', () => {
  const other = forSizes({ ...source, sizes: [{ size: 'ISO A3', orientation: 'portrait' }] }, [
    { size: 'ISO A3', orientation: 'landscape' },
    { size: 'ISO A2', orientation: 'landscape' },
  ]);
  expect(other.sizes).toEqual([
    { size: 'ISO A3', orientation: 'portrait' },
    { size: 'ISO A2', orientation: 'landscape' },
  ]);
  expect(other.dimensions[1]).toEqual({ name: 'base', formula: '40 mm', bySize: { 'ISO A3': '30 mm' } });
});
