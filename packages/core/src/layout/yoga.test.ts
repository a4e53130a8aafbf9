import fc from 'fast-check';
import type { Cell, Track } from '../design';
import { Direction, FlexDirection, Gutter, loadYoga } from 'yoga-layout/load';
import { STARTING_STANDARD } from '../standard';
import { cell, designWith, divided } from '../testing/designs';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { solveDesign } from './solve';

/** A division that yoga's flexible boxes can say as well: fixed lengths that have room, and shares. */
interface Plan {
  axis: 'rows' | 'columns';
  gap: number;
  parts: { length: number | undefined; share: number; inner: Plan | undefined }[];
}

const plan = (depth: number): fc.Arbitrary<Plan> =>
  fc.record({
    axis: fc.constantFrom('rows' as const, 'columns' as const),
    gap: fc.constantFrom(0, 0, 1, 4),
    parts: fc.array(
      fc.record({
        length: fc.option(fc.integer({ min: 1, max: 12 }), { nil: undefined }),
        share: fc.integer({ min: 1, max: 5 }),
        inner: depth > 0 ? fc.option(plan(depth - 1), { nil: undefined }) : fc.constant(undefined),
      }),
      { minLength: 1, maxLength: 5 },
    ),
  });

let last = 0;
function ours({ axis, gap, parts }: Plan): Cell {
  const tracks = parts.map(({ length, share }): Track =>
    length === undefined ? { share } : { fixed: `${length} mm` },
  );
  const children = parts.map(({ inner }) => (inner ? ours(inner) : cell(`leaf-${++last}`)));
  const made = divided(`cell-${++last}`, axis, tracks, children);
  return gap > 0 ? { ...made, division: { ...made.division!, gaps: { [axis]: `${gap} mm` } } } : made;
}

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
}

// Reference: yoga-layout, which sizes fixed and flexible boxes in rows and columns; rounding to pixels switched off.
test('nested divisions come out as in yoga-layout', async () => {
  const Yoga = await loadYoga();
  const config = Yoga.Config.create();
  config.setPointScaleFactor(0);
  type Node = ReturnType<typeof Yoga.Node.create>;
  const theirs = ({ axis, gap, parts }: Plan, node: Node): void => {
    node.setGap(axis === 'rows' ? Gutter.Row : Gutter.Column, gap);
    node.setFlexDirection(axis === 'rows' ? FlexDirection.Column : FlexDirection.Row);
    parts.forEach(({ length, share, inner }, i) => {
      const part = Yoga.Node.create(config);
      part.setFlexShrink(0);
      if (length === undefined) {
        part.setFlexGrow(share);
        part.setFlexBasis(0);
      } else if (axis === 'rows') part.setHeight(length);
      else part.setWidth(length);
      node.insertChild(part, i);
      if (inner) theirs(inner, part);
    });
  };
  const boxes = (node: Node, x: number, y: number): Box[] => {
    const { left, top, width, height } = node.getComputedLayout();
    const at = { x: x + left, y: y + top, width, height };
    const inner = Array.from({ length: node.getChildCount() }, (_, i) => boxes(node.getChild(i), at.x, at.y));
    return inner.length > 0 ? inner.flat() : [at];
  };
  fc.assert(
    fc.property(plan(2), (tree) => {
      const design = designWith(ours(tree), { dock: 'lower-left', width: '380 mm', height: '270 mm' });
      const on = { size: 'ISO A1', values: {}, standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };
      const layout = solveDesign(design, on);
      const root = Yoga.Node.create(config);
      root.setWidth(380);
      root.setHeight(270);
      theirs(tree, root);
      root.calculateLayout(undefined, undefined, Direction.LTR);
      const expected = boxes(root, 0, 0);
      root.freeRecursive();
      // Ours run up from the lower edge, theirs down from the upper one. Yoga computes in single precision.
      const found = layout.cells
        .filter((each) => !each.divided)
        .map(({ x, y, width, height }) => ({ x: x - 20, y: 270 - (y - 10) - height, width, height }));
      expect(found).toHaveLength(expected.length);
      found.forEach((box, i) => {
        for (const key of ['x', 'y', 'width', 'height'] as const) expect(box[key]).toBeCloseTo(expected[i]![key], 3);
      });
    }),
    { numRuns: 300 },
  );
});
