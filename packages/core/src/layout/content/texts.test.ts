import fc from 'fast-check';
import type { Field } from '../../design';
import type { Typefaces } from '../../lettering';
import { STARTING_STANDARD } from '../../standard';
import { cell, designWith, divided, field } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import { solveDesign } from '../solve';

/** Test typefaces whose letters go down by three tenths of the capitals' height, as ISO 3098 type B draws them (from memory). */
const DEPTH = 0.3;
const DEEP: Typefaces = {
  get: (name) => {
    const face = TEST_TYPEFACES.get(name);
    return face && { ...face, descent: face.capHeight * DEPTH };
  },
};

/** A text in a cell `height` mm high, at the bottom of a strip. */
function textIn(height: number, padding: number, vertical: Field['vertical'], capitals = false) {
  const text = field('words', '{project.name}', { vertical });
  const root = divided(
    'root',
    'rows',
    [{ share: 1 }, { fixed: `${height} mm` }],
    [cell('rest'), { ...cell('row', [text]), padding: `${padding} mm` }],
  );
  const standard = {
    ...STARTING_STANDARD,
    roles: STARTING_STANDARD.roles.map((role) => ({ ...role, capitals })),
  };
  const layout = solveDesign(designWith(root, { dock: 'bottom', height: `${height + 20} mm` }), {
    size: 'ISO A1',
    values: { 'project.name': 'Bay of gulls' },
    standard,
    typefaces: DEEP,
  });
  return { text: layout.texts[0]!, row: layout.cells.find((each) => each.id === 'row')! };
}

test('a text at the bottom keeps its padding under its descenders', () => {
  const { text, row } = textIn(10, 1, 'bottom');
  expect(text.y).toBeCloseTo(row.y + 1 + DEPTH * text.height, 6);
});

test('capitals stand on the padding', () => {
  const { text, row } = textIn(10, 1, 'bottom', true);
  expect(text.y).toBeCloseTo(row.y + 1, 6);
});

test('a text that fits keeps its padding at both ends, wherever it stands', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 20, max: 120 }).map((tenths) => tenths / 10),
      fc.integer({ min: 0, max: 20 }).map((tenths) => tenths / 10),
      fc.constantFrom('top', 'middle', 'bottom'),
      (height, padding, vertical) => {
        const { text, row } = textIn(height, padding, vertical);
        if (text.fit === 'spills') return;
        expect(text.y + text.height).toBeLessThanOrEqual(row.y + row.height - padding + 0.011);
        expect(text.y - DEPTH * text.height).toBeGreaterThanOrEqual(row.y + padding - 0.011);
      },
    ),
  );
});
