import type { Design, TableContent } from '../design';
import { solveDesign } from '../layout';
import { parametersWith } from '../parameter';
import type { OfficeStandard } from '../standard';
import { STARTING_STANDARD } from '../standard';
import { cell, designWith, field } from '../testing/designs';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { addImpacts, textImpact } from './letteringImpact';
import { cellsUsing, placesUsing, renameParameter } from './parameterUse';

const design = designWith(
  cell('c', [field('f1', '{sheet.title}'), field('f2', '{{ {sheet.zone} }} of {sheet.title}', { vertical: 'top' })]),
  { dock: 'lower-right', width: '80 mm', height: '30 mm' },
);

const solved = (standard: OfficeStandard, title: string) =>
  solveDesign(design, { size: 'ISO A1', values: { 'sheet.title': title }, standard, typefaces: TEST_TYPEFACES });
const larger = {
  ...STARTING_STANDARD,
  roles: STARTING_STANDARD.roles.map((role) => (role.id === 'value' ? { ...role, height: 14 } : role)),
};

test('a larger role changes its texts, and says which of them spill', () => {
  const before = solved(STARTING_STANDARD, 'Ground floor plan');
  const after = solved(larger, 'Ground floor plan');
  expect(textImpact(before, before)).toEqual({ texts: 2, changed: 0, spills: 0, mended: 0 });
  const impact = textImpact(before, after);
  expect(impact).toMatchObject({ texts: 2, changed: 2, mended: 0 });
  expect(impact.spills).toBeGreaterThan(0);
  expect(textImpact(after, before)).toMatchObject({ spills: 0, mended: impact.spills });
  expect(addImpacts([impact, impact]).changed).toBe(4);
});

test('texts of tables count as well, and those that spill out of their columns', () => {
  const table: TableContent = {
    id: 't',
    kind: 'table',
    horizontal: 'left',
    vertical: 'bottom',
    rotation: 0,
    table: 'contacts',
    columns: [{ heading: 'Firm', shows: '{row.firm}', width: '*' }],
    rowHeight: '7 mm',
    rows: 0,
    heading: 'top',
    captionRole: 'caption',
    valueRole: 'value',
  };
  const withTable = designWith(cell('c', [table]), { dock: 'lower-right', width: '60 mm', height: '28 mm' });
  const tables = { contacts: [{ firm: 'Tarn & Selvedge Engineers of Brackenmouth' }, { firm: 'Osier' }] };
  const [before, after] = [STARTING_STANDARD, larger].map((standard) =>
    solveDesign(withTable, { size: 'ISO A1', values: {}, tables, standard, typefaces: TEST_TYPEFACES }),
  );
  expect(textImpact(before!, before!)).toMatchObject({ changed: 0, spills: 0 });
  const impact = textImpact(before!, after!);
  expect(impact.texts).toBeGreaterThanOrEqual(3);
  expect(impact.changed).toBeGreaterThanOrEqual(2);
  expect(impact.spills).toBeGreaterThan(0);
  expect(textImpact(after!, before!).mended).toBe(impact.spills);
});

test('a text that takes the same room but looks different counts as changed', () => {
  const layout = solved(STARTING_STANDARD, 'Plan');
  expect(textImpact(layout, layout, (role) => role === 'value').changed).toBe(2);
});

test('a parameter is found where it stands, and renamed everywhere', () => {
  expect(cellsUsing(design, 'sheet.zone')).toEqual(['c']);
  expect(cellsUsing(design, 'sheet.zon')).toEqual([]);
  const renamed = renameParameter(design, 'sheet.zone', 'sheet.area');
  expect(cellsUsing(renamed, 'sheet.zone')).toEqual([]);
  expect(renamed.panels[0]!.root.contents[1]).toMatchObject({ pattern: '{{ {sheet.area} }} of {sheet.title}' });
  expect(renameParameter(design, 'project.number', 'project.code')).toBe(design);
});

test('a parameter in a stamp, in a picture on the sheet, or in a formula that belongs to no cell, is found as well', () => {
  const stamp = {
    kind: 'stamp' as const,
    id: 's',
    pattern: 'ZONE {sheet.zone}',
    role: 'title',
    angle: 0,
    boxed: false,
    at: { of: 'frame', anchor: 'lower-left' as const, x: '5 mm', y: '5 mm' },
  };
  const border = {
    ...{
      kind: 'picture' as const,
      id: 'b',
      name: 'Border',
      parameter: 'sheet.zone',
      width: 9,
      height: 9,
      linework: [],
    },
    ...{ size: 'sheet' as const, at: stamp.at },
  };
  const stamped: Design = {
    ...design,
    loose: [stamp, border],
    dimensions: [...design.dimensions, { name: 'wide', formula: 'sheet.zone == "North" ? 90 mm : 60 mm' }],
  };
  expect(placesUsing(stamped, 'sheet.zone')).toBe(placesUsing(design, 'sheet.zone') + 3);
  expect(placesUsing(renameParameter(stamped, 'sheet.zone', 'sheet.area'), 'sheet.zone')).toBe(0);
});

test('an own parameter is known to a design, with its examples', () => {
  const own = {
    id: 'zone',
    key: 'sheet.zone',
    name: 'Zone',
    kind: 'text' as const,
    choices: [],
    default: '',
    hint: '',
    required: true,
    most: null,
    typical: 'North',
    longest: 'North-west',
  };
  const standard = { ...STARTING_STANDARD, parameters: [own] };
  const messages = solved(standard, 'Plan').findings.map((finding) => finding.message);
  expect(messages).toContain('Zone is missing');
  expect(solved(STARTING_STANDARD, 'Plan').findings.map((finding) => finding.message)).toContain(
    'c asks for {sheet.zone}, and there is no such parameter',
  );
  expect(parametersWith([own]).get('sheet.zone')).toMatchObject({ scope: 'sheet', shipped: false });
});
