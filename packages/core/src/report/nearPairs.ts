/** Heights of lettering nearer to each other than this look alike and are not, in mm. */
export const NEAR_HEIGHT = 0.3;
/** Differences under this are none, in mm. */
const SAME = 0.005;

/** Pairs of neighbours by size that are nearly, but not quite, alike. @param near what counts as nearly, in mm */
export function nearPairs<T>(things: readonly T[], of: (thing: T) => number, near: number = NEAR_HEIGHT): [T, T][] {
  const sorted = [...things].sort((a, b) => of(a) - of(b));
  return sorted.slice(1).flatMap((thing, i): [T, T][] => {
    const apart = of(thing) - of(sorted[i]!);
    return apart > SAME && apart < near ? [[sorted[i]!, thing]] : [];
  });
}
