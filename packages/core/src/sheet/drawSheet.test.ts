import type { Finding } from '../check';
import { inWords, worstFinding } from '../check';
import type { Design } from '../design';
import { newParameter } from '../parameter';
import type { SheetRecord } from '../register';
import { STARTING_STANDARD } from '../standard';
import { cell, designWith, field } from '../testing/designs';
import { TEST_TYPEFACES } from '../testing/typefaces';
import type { SheetResult } from './drawSheet';
import { drawSheet, toMend } from './drawSheet';
import { requiredFindings } from './requiredValues';
import { sameSource, sheetSources, valuesOf } from './sheetSource';

const PROJECT = { standard: STARTING_STANDARD, office: {}, project: {} };
const record = (size: string): SheetRecord => ({
  number: 'A-101',
  title: '',
  kind: 'plan',
  size,
  values: {},
  views: [],
});
const drawn = (design: Design, size: string): SheetResult =>
  drawSheet(sheetSources({ ...PROJECT, design }, [record(size)])[0]!, TEST_TYPEFACES);
const findings = (design: Design, size: string): Finding[] => {
  const result = drawn(design, size);
  if ('problem' in result) throw new Error(result.problem.message);
  return result.findings;
};
const strip = designWith(cell('strip'), { dock: 'right', width: '90 mm' });

test('a sheet of a size that the design was not made for is an error, even where it solves', () => {
  expect(findings(strip, 'ISO A3')).toEqual([]);
  expect(worstFinding(findings(strip, 'ISO A2'))).toMatchObject({
    kind: 'unserved',
    weight: 'error',
    message: 'Test is not made for ISO A2',
    mend: 'add ISO A2 to the design, or give the sheet ISO A1 or ISO A3',
  });
});

test('a design that cannot be solved says what is missing and what to do', () => {
  const whyNot = (design: Design, size = 'ISO A1') => {
    const result = drawn(design, size);
    if ('problem' in result) return result.problem;
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

test('what the office requires is told where it is missing, once, whether a field shows it or not', () => {
  const own = (key: string, more = {}) => ({ ...newParameter({ id: key, key, name: key }), required: true, ...more });
  const standard = {
    ...STARTING_STANDARD,
    parameters: [own('project.permit'), own('sheet.storey'), own('set.stage'), own('sheet.wing', { required: false })],
  };
  const told = (design: Design, project: Record<string, string>, values: Record<string, string>) => {
    const [source] = sheetSources({ ...PROJECT, standard, design, project }, [{ ...record('ISO A1'), values }]);
    return toMend(drawSheet(source!, TEST_TYPEFACES)).map((finding) => `${finding.weight}: ${inWords(finding)}`);
  };
  expect(told(strip, {}, {})).toEqual([
    'gap: project.permit is required, and missing. Fix: enter it in the data of the project.',
    'gap: sheet.storey is required, and missing. Fix: enter it in the register.',
  ]);
  expect(told(strip, { 'project.permit': '12' }, { 'sheet.storey': ' ' })).toEqual([
    'gap: sheet.storey is required, and missing. Fix: enter it in the register.',
  ]);
  // What a field misses already is not told twice.
  const shows = designWith(cell('strip', [field('f', '{sheet.storey}')]), { dock: 'right', width: '90 mm' });
  expect(told(shows, { 'project.permit': '12' }, {})).toEqual([
    'gap: sheet.storey is missing. Fix: enter it in the register.',
  ]);
  expect(told(shows, { 'project.permit': '12' }, { 'sheet.storey': '2' })).toEqual([]);
  // What belongs to a set is looked for when that goes out.
  expect(requiredFindings(standard, {}, ['set']).map(({ where }) => where.parameter)).toEqual(['set.stage']);
});

test('a pen that the project’s revision of the standard does not have is an error, not a guessed line', () => {
  const newer: Design = { ...strip, panels: strip.panels.map((panel) => ({ ...panel, outlinePen: 'pen-9' })) };
  expect(findings(newer, 'ISO A1').map(({ weight, message }) => ({ weight, message }))).toEqual([
    {
      weight: 'error',
      message: 'Test draws with pens that this revision of the office standard does not have: pen-9',
    },
  ]);
});

describe('sources of a project’s sheets', () => {
  const sheets = [record('ISO A1'), { ...record('ISO A3'), number: 'A-102', values: { 'sheet.status': 'Tender' } }];
  const of = { ...PROJECT, design: strip, office: { 'office.name': 'Quay' }, project: { 'project.number': '24' } };

  test('hold the values of office, project and sheet, and its place among the others', () => {
    expect(valuesOf(sheetSources(of, sheets)[1]!)).toMatchObject({
      'office.name': 'Quay',
      'project.number': '24',
      'sheet.status': 'Tender',
      'sheet.position': '2',
      'set.count': '2',
      'sheet.fileName': '24-A-102',
    });
  });

  test('are the same while nothing of theirs changed: an edit of one sheet leaves the others', () => {
    const before = sheetSources(of, sheets);
    const edited = sheetSources(of, [sheets[0]!, { ...sheets[1]!, title: 'Other' }]);
    expect(before.map((each, i) => sameSource(each, edited[i]!))).toEqual([true, false]);
    const changes = [{ design: { ...strip } }, { standard: { ...STARTING_STANDARD } }, { office: {} }, { project: {} }];
    for (const change of changes)
      expect(sameSource(before[0]!, sheetSources({ ...of, ...change }, sheets)[0]!)).toBe(false);
    expect(sameSource(before[0]!, sheetSources(of, sheets.slice(0, 1))[0]!)).toBe(false);
  });

  test('are plain data, drawn the same after they were kept and read again', () => {
    for (const source of sheetSources(of, sheets)) {
      const kept = JSON.parse(JSON.stringify(source)) as typeof source;
      expect(drawSheet(kept, TEST_TYPEFACES)).toEqual(drawSheet(source, TEST_TYPEFACES));
    }
  });
});
