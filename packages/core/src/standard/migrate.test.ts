import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { migrateStandard, STANDARD_VERSION } from './migrate';
import type { OfficeStandard } from './officeStandard';
import { readStandard } from './readStandard';

/** A standard as a Mendrel of that version stored it. Kept as it was: a new version gets a file of its own. */
const stored = (version: number): OfficeStandard =>
  JSON.parse(readFileSync(join(__dirname, 'fixtures', `standard-${version}.json`), 'utf8')) as OfficeStandard;
const OLDER = Array.from({ length: STANDARD_VERSION - 2 }, (_, i) => i + 2);

test.each(OLDER)('a standard of version %i is read with everything in it', (version) => {
  const old = stored(version);
  expect(old.version).toBe(version);
  const kept = structuredClone(old);
  const standard = readStandard(old);
  expect(standard.version).toBe(STANDARD_VERSION);
  for (const table of ['sizes', 'frameRules', 'roles', 'pens', 'patterns', 'layers', 'devices', 'scales'] as const)
    expect(standard[table]).toEqual(old[table]);
  expect(standard.dimensions).toMatchObject(old.dimensions);
  // Migrating is pure: what was stored is as it was.
  expect(old).toEqual(kept);
});

test('dimensions from before figures had settings get those of their unit: a sixteenth of an inch, whole millimetres', () => {
  const { dimensions } = readStandard(stored(2));
  const figures = dimensions.map(({ unit, precision, leadingZeros }) => [unit, precision, leadingZeros]);
  expect(figures).toEqual([
    ['mm', 0, true],
    ['in', 4, false],
  ]);
});

test('a setting that is there is kept, and a parameter of yes or no is a tick', () => {
  const old = stored(2);
  const dimensions = old.dimensions.map((each) => ({ ...each, precision: 2 }));
  const standard = readStandard({ ...old, dimensions });
  expect(standard.dimensions.map(({ precision }) => precision)).toEqual([2, 2]);
  expect(standard.parameters.map(({ kind }) => kind)).toEqual(['text', 'tick']);
});

test('dates stay as they were entered, and there are no tables of the office’s own', () => {
  expect(readStandard(stored(3))).toMatchObject({ wording: { dates: 'as entered' }, tables: [] });
});

test.each([STANDARD_VERSION, STANDARD_VERSION + 1, 1, 0, -1, 2.5, '2', null, undefined])(
  'a standard that says version %p is left as it is',
  (version) => {
    const document = { version, name: 'Own' };
    expect(migrateStandard(document)).toBe(document);
  },
);
