import type { Item, StrokeItem } from '@mendrel/core';
import { decoded, encoded } from './encodedSpace';

const on = { layer: 'A', part: 'view' } as const;
const stroke = (points: number[], closed = false): StrokeItem => ({
  kind: 'stroke',
  points,
  closed,
  width: 0.25,
  ...on,
});
const window = { x: 0, y: 0, width: 10, height: 10 };

describe('linework as bytes', () => {
  test('is what it was, areas first and letters last', () => {
    const dashed = { ...stroke([1.5, -2, 3e9, 1 / 3], true), dashes: [3, 1.5], layer: 'Äxis', oldPen: { colour: 5 } };
    const fill: Item = { kind: 'fill', rings: [[0, 0, 1, 0, 1, 1]], colour: '#888888', ...on };
    const arc: Item = { kind: 'arc', centre: { x: 1, y: 2 }, radius: 3, from: 10, to: 370, width: 0.5, ...on };
    const text: Item = {
      kind: 'text',
      text: 'm² “Hall”',
      at: { x: 5, y: 5 },
      height: 2,
      width: 1,
      widthFactor: 1,
      rotation: 0,
      typeface: '',
      role: '',
      ...on,
    };
    const space = { version: 1, box: window, items: [text, dashed, arc, stroke([0, 0, 1, 1]), fill] };
    const again = decoded(encoded(space));
    expect(again).toEqual({ ...space, items: [fill, dashed, stroke([0, 0, 1, 1]), arc, text] });
    // Wherever the bytes lie in memory.
    const moved = new Uint8Array(encoded(space).length + 3);
    moved.set(encoded(space), 3);
    expect(decoded(moved.subarray(3))).toEqual(again);
    expect(encoded(again)).toEqual(encoded(decoded(encoded(again))));
  });

  test('of another version is refused', () => {
    const bytes = encoded({ version: 1, box: window, items: [] });
    bytes[bytes.indexOf('1'.charCodeAt(0), 8)] = '7'.charCodeAt(0);
    expect(() => decoded(bytes)).toThrow('version 7');
  });
});
