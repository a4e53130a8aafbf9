import { STARTING_STANDARD } from './officeStandard';
import { PEN_USES, penFor } from './lines';
import type { PenUse } from './lines';
import { ROLE_USES, roleFor, USUAL_HEIGHTS } from './text';

const { roles, pens } = STARTING_STANDARD;

test.each(ROLE_USES)(
  'the role for a %s is one of that use, in the unit that was asked for where there is one',
  (use) => {
    for (const unit of ['mm', 'in'] as const) {
      const role = roleFor(STARTING_STANDARD, use, unit);
      expect(role.use).toBe(use);
      if (use !== 'zone') expect(role.unit).toBe(unit);
    }
  },
);

test('of several roles for a use, the one of the usual height is taken, or of the height that was asked for', () => {
  expect(roleFor(STARTING_STANDARD, 'caption', 'mm').height).toBe(USUAL_HEIGHTS.caption);
  expect(roleFor(STARTING_STANDARD, 'value', 'mm', 2.5).name).toBe('Small value');
  expect(roleFor(STARTING_STANDARD, 'title', 'mm', 100).name).toBe('Large title');
});

test('an office that has deleted what ships is served by what it has', () => {
  const own = { ...roles[0]!, id: 'role-77', name: 'Words', use: 'value' as const };
  const zone = roles.find((role) => role.use === 'zone')!;
  for (const use of ROLE_USES)
    expect(roleFor({ roles: [zone, own] }, use, 'in').id).toBe(use === 'zone' ? zone.id : 'role-77');
  expect(() => roleFor({ roles: [] }, 'value', 'mm')).toThrow('no lettering roles');
});

test('the pen for a use is the one that ships for it whatever its width, else the nearest in width', () => {
  for (const use of Object.keys(PEN_USES) as PenUse[]) expect(penFor(STARTING_STANDARD, use).id).toBe(use);
  const thick = pens.map((pen) => ({ ...pen, width: pen.id === 'fine' ? 2 : pen.width }));
  expect(penFor({ pens: thick }, 'fine').width).toBe(2);
  const own = [
    { ...pens[0]!, id: 'pen-1', width: 0.2 },
    { ...pens[0]!, id: 'pen-2', width: 0.6 },
  ];
  expect(penFor({ pens: own }, 'frame').id).toBe('pen-2');
  expect(penFor({ pens: own }, 'fine').id).toBe('pen-1');
  expect(() => penFor({ pens: [] }, 'fine')).toThrow('no pens');
});
