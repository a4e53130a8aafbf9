import { act, renderHook } from '@testing-library/react';
import { framesByHand } from '../../../testing/shown';
import { useStaggered } from './useStaggered';

type Idle = (deadline: { timeRemaining: () => number; didTimeout: boolean }) => void;

/** Frames, each with an idle moment after it, that come when the test says so. */
function idleByHand(): { next: (length: number) => void; asked: () => number } {
  const frames = framesByHand();
  let asked = new Map<number, Idle>();
  let last = 0;
  window.requestIdleCallback = (call) => {
    asked.set(++last, call);
    return last;
  };
  window.cancelIdleCallback = (id) => void asked.delete(id);
  return {
    asked: () => asked.size,
    next(length) {
      frames.next();
      const now = asked;
      asked = new Map();
      for (const call of now.values()) act(() => call({ timeRemaining: () => length, didTimeout: false }));
    },
  };
}

afterEach(() => vi.restoreAllMocks());

const SIZES = ['A1', 'A2', 'A3'];
const following = () => renderHook(({ value }) => useStaggered(value, SIZES), { initialProps: { value: 1 } });
const values = (taken: ReadonlyMap<string, number>): unknown[] => SIZES.map((size) => taken.get(size));

test('takers follow one after the other, in moments that are long enough', () => {
  const idle = idleByHand();
  const { result, rerender } = following();
  rerender({ value: 2 });
  expect(values(result.current)).toEqual([1, 1, 1]);
  idle.next(10);
  expect(values(result.current)).toEqual([2, 1, 1]);
  idle.next(2);
  expect(values(result.current)).toEqual([2, 1, 1]);
  // What is left of a moment that was too short is not asked for again and again.
  expect(idle.asked()).toBe(0);
  idle.next(10);
  idle.next(10);
  expect(values(result.current)).toEqual([2, 2, 2]);
});

test('while the value keeps changing, all of them get their turn', () => {
  const idle = idleByHand();
  const { result, rerender } = following();
  for (const value of [2, 3, 4]) {
    rerender({ value });
    idle.next(10);
  }
  expect(values(result.current)).toEqual([2, 3, 4]);
});

test('a taker does not wait for ever for a long moment', () => {
  const idle = idleByHand();
  const clock = vi.spyOn(performance, 'now').mockReturnValue(1000);
  const { result, rerender } = following();
  rerender({ value: 2 });
  idle.next(1);
  expect(values(result.current)).toEqual([1, 1, 1]);
  clock.mockReturnValue(1200);
  idle.next(1);
  expect(values(result.current)).toEqual([2, 1, 1]);
});
