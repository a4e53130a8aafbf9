import { act, fireEvent, screen } from '@testing-library/react';
import { solveDesign, STARTING_STANDARD } from '@mendrel/core';
import type { OverlayView } from '../../../paper/Paper';
import { evenTypefaces } from '../../../testing/evenTypefaces';
import { framesByHand, shown } from '../../../testing/shown';
import { plainStrip } from '../../../testing/plainStrip';
import { workedDivisions } from './dividers';
import { TrackEdge } from './TrackEdge';

const design = plainStrip();
const layout = solveDesign(design, {
  size: 'ISO A1',
  values: {},
  standard: STARTING_STANDARD,
  typefaces: evenTypefaces(),
});
const [division] = workedDivisions(design, layout, 'strip-1');
/** Two pixels to a millimetre, the whole sheet in view. */
const view: OverlayView = {
  viewport: { scale: 2, x: 0, y: 0 },
  paperHeight: layout.sheet.height,
  size: { width: 1800, height: 1300 },
};

function edge() {
  const asked = {
    onType: vi.fn((_index: number, text: string) => (text === 'much' ? '"much" is no length' : undefined)),
    onDrag: vi.fn(),
    onDrop: vi.fn(),
    onCancel: vi.fn(),
  };
  const found = shown(
    <TrackEdge
      division={division!}
      view={view}
      unit="mm"
      selectedTrack={undefined}
      covered={false}
      countsFor={() => 'all sizes'}
      {...asked}
    />,
  );
  return { ...asked, ...found, divider: screen.getByRole('separator', { name: 'Divider after row 2' }) };
}

beforeAll(() => {
  // No pointer is captured where nothing is drawn.
  Element.prototype.setPointerCapture = () => undefined;
});
afterEach(() => vi.restoreAllMocks());

describe('dragging a divider', () => {
  /** jsdom has no pointer events; those of the mouse have all that is asked of them. */
  const pointer = (
    divider: HTMLElement,
    what: 'down' | 'move' | 'up',
    clientX: number,
    clientY: number,
    altKey = false,
  ) => fireEvent(divider, new MouseEvent(`pointer${what}`, { clientX, clientY, altKey, bubbles: true }));

  test('follows the latest movement, once a frame', () => {
    const frames = framesByHand();
    const { divider, onDrag, onDrop } = edge();
    pointer(divider, 'down', 900, 300);
    for (const y of [302, 306, 310]) pointer(divider, 'move', 900, y);
    expect(onDrag).not.toHaveBeenCalled();
    act(() => frames.next());
    expect(onDrag).toHaveBeenCalledTimes(1);
    // Ten pixels down are five millimetres; within five pixels it goes to what it is near to.
    expect(onDrag).toHaveBeenLastCalledWith(1, {
      mm: 5,
      snapping: { reach: 2.5, fine: false },
      pointer: { x: 900, y: 310 },
    });
    expect(onDrop).not.toHaveBeenCalled();
  });

  test('takes what was not drawn yet along when it is let go', () => {
    const frames = framesByHand();
    const { divider, onDrag, onDrop } = edge();
    pointer(divider, 'down', 900, 300);
    pointer(divider, 'move', 900, 320, true);
    pointer(divider, 'up', 900, 320);
    expect(onDrag).toHaveBeenLastCalledWith(1, {
      mm: 10,
      snapping: { reach: 0, fine: true },
      pointer: { x: 900, y: 320 },
    });
    expect(onDrop).toHaveBeenCalledTimes(1);
    expect(onDrag.mock.invocationCallOrder[0]).toBeLessThan(onDrop.mock.invocationCallOrder[0]!);
    expect(frames.waiting()).toBe(0);
  });

  test('is given up with Escape, and nothing comes after that', () => {
    const frames = framesByHand();
    const { divider, onDrag, onDrop, onCancel } = edge();
    pointer(divider, 'down', 900, 300);
    pointer(divider, 'move', 900, 320);
    fireEvent.keyDown(divider, { key: 'Escape' });
    frames.next();
    pointer(divider, 'move', 900, 340);
    pointer(divider, 'up', 900, 340);
    frames.next();
    expect([onDrag, onDrop, onCancel].map(({ mock }) => mock.calls.length)).toEqual([0, 0, 1]);
  });

  test.each([
    ['ArrowDown', {}, 0.5],
    ['ArrowUp', {}, -0.5],
    ['ArrowDown', { shiftKey: true }, 5],
    ['ArrowUp', { altKey: true }, -0.01],
  ])('%s with %o moves it by %d mm and keeps that', (key, held, mm) => {
    const { divider, onDrag, onDrop } = edge();
    fireEvent.keyDown(divider, { key, ...held });
    expect(onDrag).toHaveBeenCalledWith(1, { mm, snapping: { reach: 0, fine: 'altKey' in held } });
    expect(onDrop).toHaveBeenCalledTimes(1);
  });
});

describe('typing a size', () => {
  test('is taken with Enter, for the row it stands at', async () => {
    const { user, onType } = edge();
    const size = screen.getByRole('textbox', { name: 'Size of row 4' });
    expect(size).toHaveProperty('value', '16');
    await user.clear(size);
    await user.type(size, '5/8 in{Enter}');
    expect(onType).toHaveBeenCalledWith(3, '5/8 in');
  });

  test('that is refused stays there, with the reason', async () => {
    const { user } = edge();
    const size = screen.getByRole('textbox', { name: 'Size of row 4' });
    await user.clear(size);
    await user.type(size, 'much{Enter}');
    expect(screen.getByRole('alert').textContent).toContain('"much" is no length');
    expect(size).toHaveProperty('value', 'much');
    await user.keyboard('{Escape}');
    expect(size).toHaveProperty('value', '16');
    expect(screen.queryByRole('alert')).toBeNull();
  });
});
