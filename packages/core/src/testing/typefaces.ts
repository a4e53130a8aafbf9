import type { Typeface, Typefaces } from '../lettering';
import { LETTERING_TYPEFACE, LETTERING_TYPEFACE_STRONG } from '../standard';

/**
 * A typeface for tests of the core, which reads no files: every letter is half as wide as capitals are high, so that
 * widths can be worked out in one's head.
 */
const halfWide = (name: string): Typeface => ({
  name,
  unitsPerEm: 1000,
  capHeight: 700,
  descent: 0,
  stem: 60,
  advance: (text) => [...text].length * 350,
  has: () => true,
});

export const TEST_TYPEFACES: Typefaces = new Map(
  [LETTERING_TYPEFACE, LETTERING_TYPEFACE_STRONG].map((name) => [name, halfWide(name)]),
);
