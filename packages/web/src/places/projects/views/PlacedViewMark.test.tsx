import { fireEvent, render } from '@testing-library/react';
import type { PlacedView } from '@mendrel/core';
import { PlacedViewMark } from './PlacedViewMark';

const PLACED: PlacedView = {
  view: { id: 'plan', name: 'Plan', realWidth: 6000, realHeight: 4000, scale: '1:100', module: 'A1' },
  x: 100,
  y: 50,
  width: 60,
  height: 40,
} as PlacedView;

function mark() {
  const onDrop = vi.fn();
  const { container } = render(
    <svg>
      <PlacedViewMark
        placed={PLACED}
        piece={undefined}
        paperHeight={594}
        selected={false}
        pixel={1}
        unit="mm"
        onSelect={() => undefined}
        settle={(rect) => ({ rect, view: PLACED.view, over: undefined })}
        onDrop={onDrop}
      />
    </svg>,
  );
  const view = container.querySelector('[data-view="plan"]')!;
  // Not in this page without a screen.
  Object.assign(view, { setPointerCapture: () => undefined });
  fireEvent.pointerDown(view, { button: 0, clientX: 0, clientY: 0 });
  fireEvent.pointerMove(view, { clientX: 30, clientY: -20, buttons: 1 });
  return { view, onDrop };
}

test('a dragged view is let go where it was dragged to', () => {
  const { view, onDrop } = mark();
  fireEvent.pointerUp(view);
  expect(onDrop).toHaveBeenCalledWith(expect.objectContaining({ rect: { x: 130, y: 70, width: 60, height: 40 } }));
});

test('Escape gives a drag up, wherever the focus is', () => {
  const { view, onDrop } = mark();
  fireEvent.keyDown(document.body, { key: 'Escape' });
  fireEvent.pointerMove(view, { clientX: 60, clientY: -20, buttons: 1 });
  fireEvent.pointerUp(view);
  expect(onDrop).not.toHaveBeenCalled();
});
