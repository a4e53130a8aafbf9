import { worstFinding } from '../check';
import type { Design } from '../design';
import { STARTING_STANDARD } from '../standard';
import { cell, designWith, field } from '../testing/designs';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { drawProjectSheet } from './projectSheet';
import { unsolvedFinding } from './projectSheetFindings';

const draw = (design: Design, size: string) =>
  drawProjectSheet(design, { size, views: [] }, {}, { standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES });
const strip = designWith(cell('strip'), { dock: 'right', width: '90 mm' });

test('a sheet of a size that the design was not made for is an error, even where it solves', () => {
  expect(draw(strip, 'ISO A3').findings).toEqual([]);
  expect(worstFinding(draw(strip, 'ISO A2').findings)).toMatchObject({
    kind: 'unserved',
    weight: 'error',
    message: 'Test is not made for ISO A2',
    mend: 'add ISO A2 to the design, or give the sheet one of ISO A1, ISO A3',
  });
});

test('a design that cannot be solved says what is missing and what to do', () => {
  const whyNot = (design: Design, size = 'ISO A1') => {
    try {
      draw(design, size);
    } catch (error) {
      return unsolvedFinding(error);
    }
    throw new Error('it was solved');
  };
  const newer = designWith(cell('strip', [field('own', 'words', { role: 'role-19' })]), {
    dock: 'right',
    width: '90 mm',
  });
  expect(whyNot(newer)).toMatchObject({
    kind: 'unsolved',
    weight: 'error',
    message: 'this revision of the office standard has no lettering role “role-19”',
    mend: expect.stringContaining('revision of the office standard'),
  });
  expect(whyNot(strip, 'Own size').message).toContain('there is no sheet size "Own size"');
  const circle = { ...strip, dimensions: [{ name: 'wide', formula: 'wide + 1 mm' }] };
  expect(whyNot(circle)).toMatchObject({ weight: 'error', mend: 'open the design and change it there' });
});

test('a pen that the project’s revision of the standard does not have is an error, not a guessed line', () => {
  const newer: Design = { ...strip, panels: strip.panels.map((panel) => ({ ...panel, outlinePen: 'pen-9' })) };
  expect(draw(newer, 'ISO A1').findings.map(({ weight, message }) => ({ weight, message }))).toEqual([
    {
      weight: 'error',
      message: 'Test draws with pens that this revision of the office standard does not have: pen-9',
    },
  ]);
});
