import { act, renderHook } from '@testing-library/react';
import { useCellRange } from './useCellRange';

const ROWS = Array.from({ length: 300 }, (_, i) => ({ id: String(i) }));
const FIELDS = ['number', 'title', 'scale', 'kind'];
const FOCUSED = { id: '100', field: 'title' };

/** The range after keys, each with Shift unless it is said otherwise. */
function after(...keys: (string | { key: string; ctrlKey?: boolean; shiftKey?: boolean })[]) {
  const { result } = renderHook(() => useCellRange());
  for (const each of keys) {
    const pressed = typeof each === 'string' ? { key: each } : each;
    const event = { shiftKey: true, ctrlKey: false, metaKey: false, ...pressed };
    act(() => void result.current.key(event, FOCUSED, ROWS, FIELDS, 12));
  }
  return result.current.range;
}

test.each([
  ['a cell down', ['ArrowDown'], { id: '101', field: 'title' }],
  ['back over where it began', ['ArrowDown', 'ArrowUp', 'ArrowUp'], { id: '99', field: 'title' }],
  ['two pages of what is seen down', ['PageDown', 'PageDown'], { id: '124', field: 'title' }],
  ['a page up', ['PageUp'], { id: '88', field: 'title' }],
  ['to the end of the row', ['End'], { id: '100', field: 'kind' }],
  ['to its beginning', ['Home'], { id: '100', field: 'number' }],
  ['to the last row of the column', [{ key: 'ArrowDown', ctrlKey: true }], { id: '299', field: 'title' }],
  ['to the first column', [{ key: 'ArrowLeft', ctrlKey: true }], { id: '100', field: 'number' }],
  ['to the last cell of all', [{ key: 'End', ctrlKey: true }], { id: '299', field: 'kind' }],
  ['to the first cell of all', [{ key: 'Home', ctrlKey: true }], { id: '0', field: 'number' }],
])('goes %s, from the cell that has the focus', (_, keys, to) => {
  expect(after(...keys)).toEqual({ from: FOCUSED, to });
});

test('is gone once the focus is moved without Shift', () => {
  expect(after('PageDown', { key: 'PageDown', shiftKey: false })).toBeUndefined();
});

test('stays with keys that go nowhere', () => {
  expect(after('ArrowDown', 'Shift')).toEqual({ from: FOCUSED, to: { id: '101', field: 'title' } });
});
