import { act, screen } from '@testing-library/react';
import { shown } from '../../../testing/shown';
import { SaidAtRest } from './SaidAtRest';

afterEach(() => vi.useRealTimers());

test('words are said once they stay as they are, not with every step', () => {
  vi.useFakeTimers();
  const { rerender } = shown(<SaidAtRest words="41 mm" />);
  const said = (): string | null => screen.getByRole('status').textContent;
  act(() => void vi.advanceTimersByTime(200));
  rerender(<SaidAtRest words="42 mm" />);
  act(() => void vi.advanceTimersByTime(200));
  expect(said()).toBe('');
  act(() => void vi.advanceTimersByTime(200));
  expect(said()).toBe('42 mm');
});
