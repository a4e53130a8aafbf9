import { act, renderHook } from '@testing-library/react';
import { useKeptOrder } from './useKeptOrder';

const rows = (ids: string) => ids.split('').map((id) => ({ id }));
const register = (ids: string) => {
  const { result, rerender } = renderHook(({ sorted }) => useKeptOrder(rows(sorted)), {
    initialProps: { sorted: ids },
  });
  return {
    shown: () => result.current.rows.map(({ id }) => id).join(''),
    unsorted: () => result.current.unsorted,
    sort: () => act(() => result.current.sort()),
    then: (sorted: string) => rerender({ sorted }),
  };
};

test('a row whose number changed stays where it was until somebody sorts', () => {
  const { shown, unsorted, sort, then } = register('abcd');
  then('bcda');
  expect([shown(), unsorted()]).toEqual(['abcd', true]);
  sort();
  expect([shown(), unsorted()]).toEqual(['bcda', false]);
});

test('a new row stands where it belongs, and one that is deleted goes', () => {
  const { shown, unsorted, then } = register('abd');
  then('abcd');
  expect([shown(), unsorted()]).toEqual(['abcd', false]);
  then('xabcd');
  expect(shown()).toBe('xabcd');
  then('xacd');
  expect([shown(), unsorted()]).toEqual(['xacd', false]);
});

test('by hand rows stand as they are put, and once they are ordered by number again, by number', () => {
  const rows = (...ids: string[]) => ids.map((id) => ({ id }));
  const { result, rerender } = renderHook(({ of, byHand }) => useKeptOrder(of, byHand), {
    initialProps: { of: rows('a', 'b', 'c'), byHand: false },
  });
  const ids = (): string[] => result.current.rows.map(({ id }) => id);
  rerender({ of: rows('b', 'a', 'c'), byHand: true });
  expect([ids(), result.current.unsorted]).toEqual([['b', 'a', 'c'], false]);
  rerender({ of: rows('a', 'b', 'c'), byHand: false });
  expect([ids(), result.current.unsorted]).toEqual([['a', 'b', 'c'], false]);
  // From then on they stay where they are seen.
  rerender({ of: rows('c', 'a', 'b'), byHand: false });
  expect([ids(), result.current.unsorted]).toEqual([['a', 'b', 'c'], true]);
});
