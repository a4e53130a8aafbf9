import fc from 'fast-check';
import type { Caption } from '../../design';
import { contains } from '../../geometry';
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

/** Shifts that lead into the cell from where a text stands. */
const inward = { left: 1, bottom: 1, centre: 0, middle: 0, right: -1, top: -1 } as const;

test('a shifted text stands as far from its place as its shift says, in its reading direction', () => {
  fc.assert(
    fc.property(place, fc.integer({ min: -8, max: 8 }), fc.integer({ min: -8, max: 8 }), (at, across, high) => {
      const along = inward[at.horizontal] === 0 ? across : inward[at.horizontal] * Math.abs(across);
      const up = inward[at.vertical] === 0 ? high : inward[at.vertical] * Math.abs(high);
      const [still] = laid(caption('a', 'North', at)).texts;
      const [moved] = laid(caption('a', 'North', { ...at, shift: { along: `${along} mm`, up: `${up} mm` } })).texts;
      const turn = (at.rotation * Math.PI) / 180;
      expect(moved!.x - still!.x).toBeCloseTo(along * Math.cos(turn) - up * Math.sin(turn), 6);
      expect(moved!.y - still!.y).toBeCloseTo(along * Math.sin(turn) + up * Math.cos(turn), 6);
    }),
    { numRuns: 40 },
  );
});

test('no shift leads out of the cell', () => {
  fc.assert(
    fc.property(place, fc.integer({ min: -90, max: 90 }), fc.integer({ min: -50, max: 50 }), (at, along, up) => {
      const { texts, cells } = laid(caption('a', 'N', { ...at, shift: { along: `${along} mm`, up: `${up} mm` } }));
      const [text, own] = [texts[0]!, cells.find(({ id }) => id === 'c')!];
      if (text.fit === 'spills') return;
      expect(contains(own, text, 1e-6)).toBe(true);
    }),
    { numRuns: 60 },
  );
});

test('a shifted text takes no room from the others, and spills where its shift leaves it too little', () => {
  const shift = { along: '30 mm', up: '0 mm' };
  const both = laid(caption('a', 'North'), caption('b', 'East', { shift }));
  expect(both.texts[0]!.y).toBe(both.texts[1]!.y);
  const far = laid(caption('a', 'North elevation', { shift: { along: '74 mm', up: '0 mm' } }));
  expect(far.findings.map((each) => each.kind)).toContain('spill');
});
