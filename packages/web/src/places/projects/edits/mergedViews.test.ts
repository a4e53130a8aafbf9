import fc from 'fast-check';
import type { View } from '@mendrel/core';
import { mergedViews } from './mergedViews';

const viewOf = (id: string, more: Partial<View> = {}): View => ({
  id,
  name: id,
  realWidth: 10_000,
  realHeight: 8000,
  scale: '1:100',
  module: null,
  ...more,
});

test('a scale that is chosen before a width was kept leaves the width as it is by then', () => {
  const seen = [viewOf('a'), viewOf('b')];
  const now = [viewOf('a', { realWidth: 36_000 }), viewOf('b')];
  expect(mergedViews(now, seen, [viewOf('a', { scale: '1:200' }), viewOf('b')])).toEqual([
    viewOf('a', { realWidth: 36_000, scale: '1:200' }),
    viewOf('b'),
  ]);
});

test('what a change takes off a view goes, and what it leaves stays', () => {
  const shift = { x: 1, y: 2 };
  const seen = [viewOf('a', { shift, locked: true })];
  const now = [viewOf('a', { shift, locked: true, name: 'Plan' })];
  expect(mergedViews(now, seen, [viewOf('a', { locked: true })])).toEqual([
    viewOf('a', { locked: true, name: 'Plan' }),
  ]);
});

test('views that came meanwhile stay, and those that went are not brought back', () => {
  const seen = [viewOf('a'), viewOf('b')];
  const now = [viewOf('b'), viewOf('c')];
  const next = [viewOf('a', { module: 'A1' }), viewOf('b', { module: 'B1' }), viewOf('d')];
  expect(mergedViews(now, seen, next).map(({ id, module }) => [id, module])).toEqual([
    ['b', 'B1'],
    ['d', null],
    ['c', null],
  ]);
});

const views = fc.uniqueArray(
  fc.record({
    id: fc.constantFrom('a', 'b', 'c', 'd'),
    scale: fc.constantFrom('1:50', '1:100'),
    module: fc.constantFrom(null, 'A1'),
  }),
  { selector: ({ id }) => id },
);
const asViews = (some: readonly Pick<View, 'id' | 'scale' | 'module'>[]): View[] =>
  some.map(({ id, ...more }) => viewOf(id, more));

test('where nothing came between, the change is what is kept; where nothing was changed, what is there stays', () => {
  fc.assert(
    fc.property(views, views, (one, other) => {
      const [seen, next] = [asViews(one), asViews(other)];
      expect(mergedViews(seen, seen, next)).toEqual(next);
      const there = mergedViews(next, seen, seen);
      expect(there.toSorted((a, b) => (a.id < b.id ? -1 : 1))).toEqual(next.toSorted((a, b) => (a.id < b.id ? -1 : 1)));
    }),
  );
});
