import { renderHook } from '@testing-library/react';
import { useAutosave } from './useAutosave';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

const keeping = (draft: string, due = true) => {
  const save = jest.fn();
  const { rerender, unmount } = renderHook((props) => useAutosave(props.draft, props.due, () => save(props.draft)), {
    initialProps: { draft, due },
  });
  return { save, unmount, edit: (next: string, stillDue = true) => rerender({ draft: next, due: stillDue }) };
};

test('a draft is saved when nobody has edited it for a moment, and then as it is', () => {
  const { save, edit } = keeping('one');
  jest.advanceTimersByTime(1400);
  edit('two');
  jest.advanceTimersByTime(1400);
  expect(save).not.toHaveBeenCalled();
  jest.advanceTimersByTime(200);
  expect(save.mock.calls).toEqual([['two']]);
});

test('nothing is saved while something stands in the way, nor after leaving', () => {
  const { save, edit, unmount } = keeping('one', false);
  jest.advanceTimersByTime(5000);
  edit('two', true);
  unmount();
  jest.advanceTimersByTime(5000);
  expect(save).not.toHaveBeenCalled();
});

test('an attempt that nobody answered is made again, after a longer pause', () => {
  const save = jest.fn();
  const { rerender } = renderHook(({ due }) => useAutosave('one', due, save, true), { initialProps: { due: true } });
  jest.advanceTimersByTime(3900);
  expect(save).not.toHaveBeenCalled();
  jest.advanceTimersByTime(100);
  expect(save).toHaveBeenCalledTimes(1);
  // It is under way, and fails again.
  rerender({ due: false });
  rerender({ due: true });
  jest.advanceTimersByTime(4000);
  expect(save).toHaveBeenCalledTimes(2);
});
