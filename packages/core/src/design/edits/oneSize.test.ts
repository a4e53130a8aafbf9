import type { Design } from '../schema';
import { solveDesign } from '../../layout';
import { STARTING_STANDARD } from '../../standard';
import { cell, designWith, divided } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import { setPanelLengthOnSize, setTrackOnSize } from '.';

const rows = [{ fixed: '40 mm' }, { share: 1 }];
const strip = designWith(divided('root', 'rows', rows, [cell('upper'), cell('lower')]), {
  dock: 'right',
  width: '90 mm',
});
const design: Design = {
  ...strip,
  sizes: [
    { size: 'ISO A1', orientation: 'landscape' },
    { size: 'ISO A3', orientation: 'landscape' },
  ],
};
const solved = (of: Design, size: string) => {
  const layout = solveDesign(of, { size, standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES, values: {} });
  const panel = layout.cells.find((each) => each.id === 'root');
  const upper = layout.cells.find((each) => each.id === 'upper');
  return { width: panel?.width ?? 0, upper: upper?.height ?? 0 };
};

test('a length set for one size leaves the other sizes as they were', () => {
  const track = setTrackOnSize(design, 'root', 'rows', 0, '25 mm', 'ISO A3');
  expect(solved(track, 'ISO A3').upper).toBeCloseTo(25, 6);
  expect(solved(track, 'ISO A1').upper).toBeCloseTo(40, 6);
  const panel = setPanelLengthOnSize(track, design.panels[0]?.id ?? '', 'width', '62 mm', 'ISO A3');
  expect(solved(panel, 'ISO A3').width).toBeCloseTo(62, 6);
  expect(solved(panel, 'ISO A1')).toEqual(solved(design, 'ISO A1'));
});

test('a dimension that sets the length already gets the value, and no second one is made', () => {
  const once = setTrackOnSize(design, 'root', 'rows', 0, '25 mm', 'ISO A3');
  const twice = setTrackOnSize(once, 'root', 'rows', 0, '30 mm', 'ISO A3');
  expect(twice.dimensions).toHaveLength(1);
  expect(solved(twice, 'ISO A3').upper).toBeCloseTo(30, 6);
});

test('what adapts itself cannot differ by size', () => {
  expect(() => setTrackOnSize(design, 'root', 'rows', 1, '25 mm', 'ISO A3')).toThrow('a share adapts itself');
});
