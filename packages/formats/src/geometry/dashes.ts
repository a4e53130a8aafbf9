/** Lengths of a pattern that are kept; none that is drawn by hand has so many. */
export const MOST_DASHES = 40;

/**
 * Dash, gap … of a pattern as SVG and PDF write it: an odd number of lengths is gone through twice, as both standards have
 * it; a pattern without length, or with lengths that are none, is a continuous line.
 */
export function dashesOf(lengths: readonly number[]): readonly number[] {
  const drawn = lengths.every((each) => each >= 0) && lengths.some((each) => each > 0);
  return !drawn ? [] : lengths.length % 2 === 0 ? lengths : [...lengths, ...lengths];
}
