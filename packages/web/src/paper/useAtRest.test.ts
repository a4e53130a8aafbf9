import { act, renderHook } from '@testing-library/react';
import { useAtRest } from './useAtRest';

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

test('stands still a moment after the last movement, and no longer once it moves again', () => {
  const paper = {};
  const { result, rerender } = renderHook(({ from }) => useAtRest(paper, from), { initialProps: { from: 1 } });
  const wait = (ms: number): void => act(() => void vi.advanceTimersByTime(ms));
  expect(result.current).toBe(false);
  wait(200);
  expect(result.current).toBe(true);
  for (const from of [2, 3, 4]) {
    rerender({ from });
    expect(result.current).toBe(false);
    wait(100);
  }
  expect(result.current).toBe(false);
  wait(100);
  expect(result.current).toBe(true);
});
