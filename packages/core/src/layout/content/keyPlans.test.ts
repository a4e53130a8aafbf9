import type { KeyPlan } from '../../design';
import { composeSheet } from '../../compose';
import { EXAMPLE_OUTLINE, outlineValue } from '../../outline';
import type { Values } from '../../parameter';
import { STARTING_STANDARD, triedOn } from '../../standard';
import { EVERY_CONTENT } from '../../testing/contents';
import { cell, designWith, field } from '../../testing/designs';
import { TEST_TYPEFACES } from '../../testing/typefaces';
import { solveDesign } from '../solve';

const ON = { size: 'ISO A1', standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES };
const keyPlan: KeyPlan = { ...EVERY_CONTENT.keyPlan, marks: 'sheet.keyPlanPart' };
delete keyPlan.when;

/** A key plan in a cell of 52 x 42 mm with 1 mm around it, in the lower left corner of the frame at 20, 10. */
function drawn(values: Values, more: Partial<KeyPlan> = {}) {
  const root = { ...cell('root', [{ ...keyPlan, ...more }]), padding: '1 mm' };
  const design = designWith(root, { dock: 'lower-left', width: '52 mm', height: '42 mm' });
  const layout = solveDesign(design, { ...ON, values });
  const { items } = composeSheet(design, layout, ON);
  return { findings: layout.findings, items: items.filter((item) => item.cell === 'root' && item.layer !== 'cells') };
}
const VALUES = { 'project.keyPlan': EXAMPLE_OUTLINE, 'sheet.keyPlanPart': 'b' };

test('it is as large as goes into its cell, and the part that the sheet names is filled', () => {
  const { items, findings } = drawn(VALUES);
  expect(findings).toEqual([]);
  // The example is 100 by 60: 50 by 30 mm here, from 21, 11; its part B is 40 to 80 by 20 to 44.
  expect(items.filter(({ kind }) => kind === 'fill')).toMatchObject([
    { rings: [[41, 21, 61, 21, 61, 33, 41, 33]], colour: '#a6a6a6' },
  ]);
  const strokes = items.filter((item) => item.kind === 'stroke' && item.layer === 'A-TTLB-PICT');
  expect(items.flatMap((item) => (item.kind === 'text' ? [item.text] : []))).toEqual(['A', 'B', 'C']);
  expect(strokes.every((item) => item.kind !== 'stroke' || item.width > 0)).toBe(true);
});

test('several parts are marked, names are only written where they go into their part', () => {
  const two = drawn({ ...VALUES, 'sheet.keyPlanPart': 'A, C' });
  expect(two.items.filter(({ kind }) => kind === 'fill')).toHaveLength(2);
  const narrow = outlineValue({
    width: 100,
    height: 60,
    parts: [
      { name: 'A', ring: [0, 0, 98, 0, 98, 60, 0, 60] },
      { name: 'Yard', ring: [98, 0, 100, 0, 100, 60, 98, 60] },
    ],
    lines: [],
  });
  const { items } = drawn({ ...VALUES, 'project.keyPlan': narrow, 'sheet.keyPlanPart': 'Yard' });
  expect(items.flatMap((item) => (item.kind === 'text' ? [item.text] : []))).toEqual(['A']);
});

test('a sheet that names a part which is not there is told what there is', () => {
  const own = EXAMPLE_OUTLINE.replace('"width":1000', '"width":999');
  const { findings, items } = drawn({ 'project.keyPlan': own, 'sheet.keyPlanPart': 'B, D' });
  expect(findings).toEqual([
    expect.objectContaining({
      message: 'Part of the key plan is “B, D”, and the key plan has no part D',
      mend: 'enter one of A, B, C, or several with commas',
      where: { cell: 'root', content: 'key-plan-1', parameter: 'sheet.keyPlanPart' },
    }),
  ]);
  expect(items.filter(({ kind }) => kind === 'fill')).toHaveLength(1);
  // An example of try-on has none of the parts that a project's longest value may name.
  expect(drawn({ ...VALUES, 'sheet.keyPlanPart': 'Hall, Deck' }).findings).toEqual([]);
});

test('letters of a part’s name that the typeface lacks are told', () => {
  const latin = new Map(
    STARTING_STANDARD.roles.map(({ typeface }) => {
      const face = TEST_TYPEFACES.get(typeface)!;
      return [typeface, { ...face, has: (code: number) => code < 0x250 }] as const;
    }),
  );
  const own = EXAMPLE_OUTLINE.replace('"B"', '"Ω"');
  const root = cell('root', [keyPlan]);
  const design = designWith(root, { dock: 'lower-left', width: '52 mm', height: '42 mm' });
  const values = { 'project.keyPlan': own, 'sheet.keyPlanPart': 'Ω' };
  expect(solveDesign(design, { ...ON, typefaces: latin, values }).findings).toEqual([
    expect.objectContaining({ kind: 'characters', message: expect.stringContaining('“Ω”') }),
  ]);
});

test('an outline or a part that is missing is told, and so is a parameter that is no outline', () => {
  expect(drawn({}).findings.map(({ message }) => message)).toEqual([
    'Key plan outline is missing in the key plan',
    'Part of the key plan is missing in the key plan',
  ]);
  expect(drawn({}).items.filter(({ kind }) => kind === 'fill')).toEqual([]);
  expect(drawn({ 'project.name': 'Quay', 'sheet.keyPlanPart': 'A' }, { outline: 'project.name' }).findings).toEqual([
    expect.objectContaining({ message: 'Project is no outline' }),
  ]);
});

test('try-on has an outline and a part of it, and an outline stands in no text', () => {
  const { values } = triedOn('typical', STARTING_STANDARD);
  expect(drawn(values).findings).toEqual([]);
  expect(drawn(triedOn('longest', STARTING_STANDARD).values).findings).toEqual([]);
  const root = cell('root', [field('f', 'Plan {project.keyPlan}')]);
  const layout = solveDesign(designWith(root, { dock: 'lower-left', width: '52 mm', height: '42 mm' }), {
    ...ON,
    values,
  });
  expect(layout.texts.map(({ text }) => text)).toEqual(['']);
  expect(layout.findings).toEqual([expect.objectContaining({ mend: 'place it as a key plan' })]);
});
