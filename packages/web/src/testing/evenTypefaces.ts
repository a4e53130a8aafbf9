import type { Typefaces } from '@mendrel/core';
import { STARTING_STANDARD } from '@mendrel/core';
import * as shownWith from '../app/typefaces';

/**
 * The typefaces of the starting standard with letters that are all of one width, for tests in which files are not read.
 * @param wide the width of a letter by the height of capitals
 */
export const evenTypefaces = (wide = 0.5): Typefaces =>
  new Map(
    STARTING_STANDARD.roles.map(({ typeface }) => [
      typeface,
      {
        name: typeface,
        unitsPerEm: 1000,
        capHeight: 700,
        descent: 200,
        stem: 60,
        advance: (text: string) => text.length * 700 * wide,
        has: () => true,
      },
    ]),
  );

/** Has every component measure with these typefaces until the end of the test. */
export function measuredWith(typefaces: Typefaces): void {
  vi.spyOn(shownWith, 'useTypefaces').mockReturnValue(typefaces);
}
