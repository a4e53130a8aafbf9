import fc from 'fast-check';
import { asParameter, newParameter, parametersWith, valueProblem } from '../parameter';
import type { OwnParameter, ParameterKind } from '../parameter';
import { standardDifference } from './difference';
import { frameOnDevices } from './printable';
import { dashesOf, LAYER_PRESETS, LINE_WIDTHS, STARTING_PATTERNS } from './lines';
import type { OfficeStandard } from './officeStandard';
import { sizesOf, STARTING_STANDARD } from './officeStandard';
import { readStandard, StandardError } from './readStandard';
import { sheetSize } from './sheets';
import { ISO_HEIGHTS } from './text';

const with_ = (change: Partial<OfficeStandard>): OfficeStandard => ({ ...STARTING_STANDARD, ...change });
const own = (name: string, width = 900, height = 600) =>
  ({ name, series: 'Office', width, height, unit: 'mm', roll: false }) as const;
const parameter = (change: Partial<OwnParameter> = {}): OwnParameter => ({
  ...newParameter({ id: 'p1', key: 'project.fireClass', name: 'Fire class' }),
  typical: 'A2',
  longest: 'A2-s1, d0',
  ...change,
});
const [first] = STARTING_STANDARD.frameRules;
if (!first) throw new Error('the starting standard has frame rules');

const problemsOf = (json: unknown): string[] => {
  try {
    readStandard(json);
    return [];
  } catch (error) {
    if (error instanceof StandardError) return error.problems.map(({ where, message }) => `${where}: ${message}`);
    throw error;
  }
};

describe('reading a standard', () => {
  test('gives back what was written', () => {
    const full = with_({ sizes: [own('Wide')], parameters: [parameter()], unit: 'in' });
    expect(readStandard(JSON.parse(JSON.stringify(full)))).toEqual(full);
  });

  test.each<[string, Partial<Record<keyof OfficeStandard, unknown>>, string]>([
    ['a negative size', { sizes: [own('W', -900)] }, 'sizes.0.width: a sheet edge is at least 20 mm'],
    ['a size of nothing', { sizes: [own('W', 0)] }, 'sizes.0.width: a sheet edge is at least 20 mm'],
    ['an endless size', { sizes: [own('W', 1e9)] }, 'sizes.0.width: a sheet edge is at most 20000 mm'],
    ['a name twice', { sizes: [own('W'), own('w ')] }, 'sizes.1.name: "w" is there twice'],
    ['a shipped name', { sizes: [own('iso a1')] }, 'sizes.0.name: "iso a1" ships with Mendrel'],
    [
      'a margin wider than its sheet',
      { frameRules: [{ ...first, sizes: ['ISO A3'], margins: { left: 400, right: 20, top: 10, bottom: 10 } }] },
      'frameRules.0.margins: these margins leave no room on ISO A3',
    ],
    [
      'a rule for a size that is not there',
      { frameRules: [{ ...first, sizes: ['Wide'] }] },
      'frameRules.0.sizes.0: there is no sheet size "Wide"',
    ],
    ['a pen that is not there', { frameRules: [{ ...first, pen: 'red' }] }, 'frameRules.0.pen: there is no pen "red"'],
    ['a scale that is none', { scales: ['1:100', '1/0" = 1\'-0"'] }, 'scales.1: "1/0" divides by zero'],
    [
      'dashes that do not pair',
      { patterns: [{ id: 'continuous', name: 'P', dashes: [1, 2, 3], in: 'mm' }] },
      'patterns.0.dashes: dashes and gaps come in pairs',
    ],
    [
      'a layer name that drawings refuse',
      { layers: [{ id: 'a', name: 'A|B', pen: 'fine', pattern: 'continuous', holds: [] }] },
      'layers.0.name: layer names in drawings may not hold',
    ],
    [
      'one thing on two layers',
      {
        layers: ['a', 'b'].map((id) => ({ id, name: id, pen: 'fine', pattern: 'continuous', holds: ['views'] })),
      },
      'layers.1.holds: views goes on a already',
    ],
    [
      'a key without a scope',
      { parameters: [parameter({ key: 'fireClass' })] },
      'parameters.0.key: a key is its scope and one word',
    ],
    [
      'a choice of nothing',
      { parameters: [parameter({ kind: 'choice' })] },
      'parameters.0.choices: a choice needs something to choose from',
    ],
    [
      'a size made from one that does not ship',
      { sizes: [{ name: 'Board', series: 'Office', width: 900, height: 600, unit: 'mm', roll: false, model: 'Wide' }] },
      'sizes.0.model: no size "Wide" ships with Mendrel',
    ],
    ['a shipped key', { parameters: [parameter({ key: 'sheet.title' })] }, 'parameters.0.key: "sheet.title" ships'],
    ['another version', { version: 9 }, 'version: this standard is of version 9; this program reads versions 2 to 4'],
    ['a field that is not known', { colour: 1 } as object, ': unknown field "colour"'],
  ])('%s is refused at its place, with what would be right', (_name, change, message) => {
    expect(problemsOf({ ...STARTING_STANDARD, ...change }).join('\n')).toContain(message);
  });

  test('never throws anything but its own error', () => {
    fc.assert(
      fc.property(fc.anything(), (json) => {
        problemsOf(json);
        problemsOf({ ...STARTING_STANDARD, roles: json, sizes: json });
      }),
    );
  });
});

test('own sizes stand beside those that ship', () => {
  expect(sheetSize('wide', sizesOf(with_({ sizes: [own('Wide')] })))).toMatchObject({ width: 900 });
  expect(sizesOf(STARTING_STANDARD)).toHaveLength(34);
});

describe('the difference between two standards', () => {
  const messages = (change: Partial<OfficeStandard>): string[] =>
    standardDifference(STARTING_STANDARD, with_(change)).map((each) => each.message);

  test('of a standard and itself is nothing', () => {
    expect(messages({})).toEqual([]);
    const turned = STARTING_STANDARD.devices.map(({ papers, ...device }) => ({
      ...device,
      papers: papers.map(({ size, margins }) => ({
        margins: { bottom: margins.bottom, top: margins.top, right: margins.right, left: margins.left },
        size,
      })),
    }));
    expect(messages({ devices: turned })).toEqual([]);
  });

  test('is told in plain words, with lengths in the unit of their row', () => {
    const roles = STARTING_STANDARD.roles.map((role) =>
      role.id === 'value' ? { ...role, height: 4 } : role.id === 'value-inch' ? { ...role, height: 25.4 / 4 } : role,
    );
    expect(messages({ roles })).toEqual([
      'Lettering role Value: height 3.5 mm → 4 mm',
      'Lettering role Value 1/8 in: height 1/8 in → 1/4 in',
    ]);
    expect(messages({ sizes: [own('Wide')], pens: STARTING_STANDARD.pens.slice(0, 4) })).toEqual([
      'Sheet size Wide is new',
      'Pen Lettering is gone',
    ]);
    const [rule, ...others] = STARTING_STANDARD.frameRules;
    expect(messages({ frameRules: [{ ...rule!, margins: { ...rule!.margins, left: 25 } }, ...others] })).toEqual([
      'Frame rule ISO 5457: margins left 20 mm → 25 mm',
    ]);
    expect(messages({ scales: STARTING_STANDARD.scales.slice(1), leastHeight: 2 })).toEqual([
      'Scale 5:1 is gone',
      'Least height “1.8 mm” → “2 mm”',
    ]);
  });
});

describe('lines', () => {
  // ISO 128 (from memory): widths and heights grow by √2; dashed 12d and 3d, long-dashed dotted 24d, 3d, 0.5d, 3d.
  test('widths and heights grow by the root of two', () => {
    for (const series of [LINE_WIDTHS, ISO_HEIGHTS]) {
      for (let i = 1; i < series.length; i++) expect(series[i]! / series[i - 1]!).toBeCloseTo(Math.SQRT2, 1);
    }
  });

  test.each([
    ['dashed', [6, 1.5]],
    ['chain', [12, 1.5, 0.25, 1.5]],
    ['continuous', []],
  ])('%s in a pen of 0.5 mm', (id, dashes) => {
    const pattern = STARTING_PATTERNS.find((each) => each.id === id);
    expect(dashesOf(pattern, 0.5)).toEqual(dashes);
  });

  test('dashes in mm do not follow the pen', () => {
    expect(dashesOf({ id: 'p', name: 'P', dashes: [5, 2], in: 'mm' }, 0.7)).toEqual([5, 2]);
  });

  // ISO 13567 (from memory): ten characters: agent 2, element 6, presentation 2.
  test('field-coded layer names have ten places', () => {
    for (const { name } of LAYER_PRESETS.Fields) expect(name).toMatch(/^[A-Z]-[A-Z]{5}-[BTEP]-$/);
  });

  // US National CAD Standard (from memory): discipline, a major group and up to two minor groups of four characters.
  test('discipline layer names have groups of four', () => {
    for (const { name } of LAYER_PRESETS.Discipline) expect(name).toMatch(/^[A-Z]-[A-Z]{4}(-[A-Z]{4}){0,2}$/);
  });
});

test('a sheet goes onto the narrowest roll that is wide enough', () => {
  const papers = (size: string): string[] =>
    frameOnDevices(STARTING_STANDARD, sheetSize(size)).map((each) => `${each.device.name}, ${each.paper}`);
  expect(papers('ISO A0')).toEqual(['Roll plotter, roll 841 mm']);
  expect(papers('ARCH E')).toEqual(['Roll plotter, roll 914.4 mm']);
  expect(papers('ISO A3')).toEqual(['Office printer A3, cut sheet', 'Roll plotter, roll 841 mm']);
});

describe('values of own parameters', () => {
  test.each<[ParameterKind, string, boolean]>([
    ['number', '12,5', true],
    ['number', '-3', true],
    ['number', 'twelve', false],
    ['length', `2'-10 1/2"`, true],
    ['length', '1/0"', false],
    ['area', '12.5 m²', true],
    ['area', '12 pints', false],
    ['date', '2031-04-30', true],
    ['date', '2031-02-30', false],
    ['date', 'tomorrow', false],
    ['tick', 'yes', true],
    ['tick', 'maybe', false],
    ['choice', 'B', true],
    ['choice', 'C', false],
    ['text', 'anything', true],
    ['number', '', true],
  ])('%s: %s is %s', (kind, value, sound) => {
    const problem = valueProblem(asParameter(parameter({ kind, choices: ['A', 'B'] })), value);
    expect(problem === undefined).toBe(sound);
  });

  test('have no more characters than they may', () => {
    const parameters = parametersWith([parameter({ most: 3 })]);
    expect(valueProblem(parameters.get('project.fireClass')!, 'A2-s1')).toBe(
      'Fire class has 5 characters; it may have 3',
    );
  });
});
