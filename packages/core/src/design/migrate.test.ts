import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { solveDesign } from '../layout';
import { STARTING_STANDARD } from '../standard';
import { TEST_TYPEFACES } from '../testing/typefaces';
import { designDifferences } from './difference';
import { DESIGN_VERSION, migrateDesign } from './migrate';
import type { Design } from './schema';
import { readDesign } from './validate';

/** A document as a Mendrel of that version stored it. Kept as it was: a new version gets a file of its own. */
const stored = (version: number): Design =>
  JSON.parse(readFileSync(join(__dirname, 'fixtures', `design-${version}.json`), 'utf8')) as Design;
const OLDER = Array.from({ length: DESIGN_VERSION - 1 }, (_, i) => i + 1);

test.each(OLDER)('a document of version %i is read with everything in it, and solved', (version) => {
  const old = stored(version);
  expect(old.version).toBe(version);
  const kept = structuredClone(old);
  const design = readDesign(old);
  expect(design.version).toBe(DESIGN_VERSION);
  expect(designDifferences(old, design)).toEqual([]);
  // Migrating is pure: what was stored is as it was.
  expect(old).toEqual(kept);
  for (const { size } of design.sizes) {
    const layout = solveDesign(design, { size, values: {}, standard: STARTING_STANDARD, typefaces: TEST_TYPEFACES });
    expect(layout.findings.filter(({ weight }) => weight === 'error')).toEqual([]);
  }
});

test.each([DESIGN_VERSION, DESIGN_VERSION + 1, 0, -1, 1.5, '1', null, undefined])(
  'a document that says version %p is left as it is',
  (version) => {
    const document = { version, name: 'Own' };
    expect(migrateDesign(document)).toBe(document);
  },
);
