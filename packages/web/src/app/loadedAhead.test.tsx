import { renderHook } from '@testing-library/react';
import { useLoadedAhead } from './loadedAhead';

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

const asked = () => {
  const load = vi.fn(() => Promise.resolve());
  const hook = renderHook(({ stands, parts }) => useLoadedAhead(stands, parts), {
    initialProps: { stands: false, parts: [{ load }] },
  });
  return { load, ...hook };
};

it('loads what may be shown next once what is shown stands, not while it is waited for', () => {
  const { load, rerender } = asked();
  vi.runAllTimers();
  expect(load).not.toHaveBeenCalled();
  rerender({ stands: true, parts: [{ load }] });
  vi.runAllTimers();
  expect(load).toHaveBeenCalledOnce();
});

it('loads nothing for a page that was left before it was idle', () => {
  const { load, rerender, unmount } = asked();
  rerender({ stands: true, parts: [{ load }] });
  unmount();
  vi.runAllTimers();
  expect(load).not.toHaveBeenCalled();
});
