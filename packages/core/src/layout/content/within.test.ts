import fc from 'fast-check';
import type { Caption } from '../../design';
import { STARTING_STANDARD } from '../../standard';
import { caption, cell, designWith } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import { solveDesign } from '../solve';

function laid(...texts: Caption[]) {
  const design = designWith(cell('c', texts), { dock: 'lower-right', width: '80 mm', height: '40 mm' });
  return solveDesign(design, { size: 'ISO A3', values: {}, standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES });
}

const place = fc.record({
  horizontal: fc.constantFrom('left', 'centre', 'right'),
  vertical: fc.constantFrom('top', 'middle', 'bottom'),
  rotation: fc.constantFrom(0, 90, 180, 270),
} as const);

test('a shifted text stands as far from its place as its shift says, in its reading direction', () => {
  fc.assert(
    fc.property(place, fc.integer({ min: -8, max: 8 }), fc.integer({ min: -8, max: 8 }), (at, along, up) => {
      const [still] = laid(caption('a', 'North', at)).texts;
      const [moved] = laid(caption('a', 'North', { ...at, shift: { along: `${along} mm`, up: `${up} mm` } })).texts;
      const turn = (at.rotation * Math.PI) / 180;
      expect(moved!.x - still!.x).toBeCloseTo(along * Math.cos(turn) - up * Math.sin(turn), 6);
      expect(moved!.y - still!.y).toBeCloseTo(along * Math.sin(turn) + up * Math.cos(turn), 6);
    }),
    { numRuns: 40 },
  );
});

test('a shifted text takes no room from the others, and spills where its shift leaves it too little', () => {
  const shift = { along: '30 mm', up: '0 mm' };
  const both = laid(caption('a', 'North'), caption('b', 'East', { shift }));
  expect(both.texts[0]!.y).toBe(both.texts[1]!.y);
  const far = laid(caption('a', 'North elevation', { shift: { along: '74 mm', up: '0 mm' } }));
  expect(far.findings.map((each) => each.kind)).toContain('spill');
});
