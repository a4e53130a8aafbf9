import { renderHook } from '@testing-library/react';
import { useAutosave } from './useAutosave';

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

const keeping = (draft: string, due = true) => {
  const save = vi.fn();
  const { rerender, unmount } = renderHook((props) => useAutosave(props.draft, props.due, () => save(props.draft)), {
    initialProps: { draft, due },
  });
  return { save, unmount, edit: (next: string, stillDue = true) => rerender({ draft: next, due: stillDue }) };
};

test('a draft is saved when nobody has edited it for a moment, and then as it is', () => {
  const { save, edit } = keeping('one');
  vi.advanceTimersByTime(1400);
  edit('two');
  vi.advanceTimersByTime(1400);
  expect(save).not.toHaveBeenCalled();
  vi.advanceTimersByTime(200);
  expect(save.mock.calls).toEqual([['two']]);
});

test('nothing is saved while something stands in the way, nor after leaving', () => {
  const { save, edit, unmount } = keeping('one', false);
  vi.advanceTimersByTime(5000);
  edit('two', true);
  unmount();
  vi.advanceTimersByTime(5000);
  expect(save).not.toHaveBeenCalled();
});

test('an attempt that nobody answered is made again, after a longer pause', () => {
  const save = vi.fn();
  const { rerender } = renderHook(({ due }) => useAutosave('one', due, save, true), { initialProps: { due: true } });
  vi.advanceTimersByTime(3900);
  expect(save).not.toHaveBeenCalled();
  vi.advanceTimersByTime(100);
  expect(save).toHaveBeenCalledTimes(1);
  // It is under way, and fails again.
  rerender({ due: false });
  rerender({ due: true });
  vi.advanceTimersByTime(4000);
  expect(save).toHaveBeenCalledTimes(2);
});
