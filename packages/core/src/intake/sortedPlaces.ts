/** The first of some positions in ascending order that is not below a value; their number when all are. */
export function firstPlace(places: ArrayLike<number>, value: number): number {
  let [low, high] = [0, places.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((places[middle] ?? 0) < value) low = middle + 1;
    else high = middle;
  }
  return low;
}
