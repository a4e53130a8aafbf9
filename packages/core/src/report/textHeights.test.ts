import { STARTING_STANDARD } from '../standard';
import type { OfficeStandard } from '../standard';
import { caption, cell, designWith } from '../testing/designs';
import { textHeights } from './textHeights';

const role = (id: string) => STARTING_STANDARD.roles.find((each) => each.id === id)!;
const design = (...roles: string[]) =>
  designWith(
    {
      ...cell(
        'root',
        roles.map((each, i) => caption(`c${i}`, 'Scale', { role: each })),
      ),
    },
    { dock: 'lower-left' },
  );

test('texts are counted by the height of their role, each design by the standard it keeps to', () => {
  const taller: OfficeStandard = {
    ...STARTING_STANDARD,
    roles: STARTING_STANDARD.roles.map((each) => (each.id === 'value' ? { ...each, height: 3.6 } : each)),
  };
  const found = textHeights(
    [
      { design: design('caption', 'caption', 'value'), standard: STARTING_STANDARD },
      { design: design('caption', 'value', 'value'), standard: taller },
    ],
    STARTING_STANDARD.heights,
  );
  expect(found).toEqual([
    {
      height: role('caption').height,
      roles: [role('caption').name],
      designs: [
        { place: 0, texts: 2 },
        { place: 1, texts: 1 },
      ],
      inSeries: true,
      near: [],
    },
    { height: 3.5, roles: [role('value').name], designs: [{ place: 0, texts: 1 }], inSeries: true, near: [3.6] },
    { height: 3.6, roles: [role('value').name], designs: [{ place: 1, texts: 2 }], inSeries: false, near: [3.5] },
  ]);
});

test('a role that the standard no longer has is left to the findings of its design', () => {
  expect(textHeights([{ design: design('gone'), standard: STARTING_STANDARD }], [2.5])).toEqual([]);
});
