import { chartSeries, MOST_NAMED, oddHeights } from './chartSeries';

const height = (mm: number, designs: [string, number][], more = {}) => ({
  height: mm,
  roles: ['Value'],
  designs: designs.map(([name, texts]) => ({ id: name, name, texts })),
  inSeries: true,
  near: [] as number[],
  ...more,
});

test('each design has its texts at every height, those with most texts first', () => {
  expect(
    chartSeries([
      height(2, [
        ['A', 1],
        ['B', 5],
      ]),
      height(3.5, [['A', 2]]),
    ]),
  ).toEqual([
    { name: 'B', data: [5, 0] },
    { name: 'A', data: [1, 2] },
  ]);
});

test('beyond what colours tell apart, designs stand together, and no text is lost', () => {
  const many = Array.from({ length: MOST_NAMED + 3 }, (_, i): [string, number] => [`D${i}`, 20 - i]);
  const series = chartSeries([height(2, many)]);
  expect(series).toHaveLength(MOST_NAMED + 1);
  expect(series.at(-1)).toEqual({ name: '3 other designs', data: [13 + 12 + 11] });
});

test('what looks like an accident is told in one sentence', () => {
  expect(oddHeights([height(2, [])])).toBe('1 height; all of the office’s series, and well apart.');
  expect(oddHeights([height(2.4, [], { inSeries: false, near: [2.5] }), height(2.5, [], { near: [2.4] })])).toBe(
    '2 heights; 1 not in the office’s series, 2 nearly equal to another.',
  );
});
