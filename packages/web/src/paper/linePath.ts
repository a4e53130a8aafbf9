/** Straight lines through x, y, x, y … as the data of an SVG path. */
export function linePath(points: readonly number[], closed: boolean): string {
  const places = Array.from(
    { length: Math.floor(points.length / 2) },
    (_, i) => `${points[2 * i]} ${points[2 * i + 1]}`,
  );
  return `M${places.join('L')}${closed ? 'Z' : ''}`;
}
