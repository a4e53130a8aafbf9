import { act, fireEvent, render, screen } from '@testing-library/react';
import { useAtRest } from './useAtRest';

const DRAWING = {};

function Watched({ from }: { from: number }) {
  const { atRest, pointer } = useAtRest(DRAWING, from);
  return (
    <div data-testid="paper" {...pointer}>
      {atRest ? 'still' : 'moving'}
    </div>
  );
}

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

const wait = (ms: number): void => act(() => void vi.advanceTimersByTime(ms));
const paper = () => screen.getByTestId('paper');

test('stands still a moment after the last movement, and no longer once it moves again', () => {
  const { rerender } = render(<Watched from={1} />);
  expect(paper().textContent).toBe('moving');
  wait(200);
  expect(paper().textContent).toBe('still');
  for (const from of [2, 3, 4]) {
    rerender(<Watched from={from} />);
    expect(paper().textContent).toBe('moving');
    wait(100);
  }
  expect(paper().textContent).toBe('moving');
  wait(100);
  expect(paper().textContent).toBe('still');
});

test('moves while something is dragged on it, not while the pointer only passes', () => {
  render(<Watched from={1} />);
  wait(200);
  fireEvent.pointerMove(paper(), { buttons: 0 });
  expect(paper().textContent).toBe('still');
  fireEvent.pointerMove(paper(), { buttons: 1 });
  wait(1000);
  expect(paper().textContent).toBe('moving');
  fireEvent.pointerUp(paper());
  expect(paper().textContent).toBe('still');
});
