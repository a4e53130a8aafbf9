import type { Content } from '../../design';
import type { Rect } from '../../geometry';

/** Places an extent in a room by its horizontal and vertical place; lengths in mm. */
export function within(
  room: Rect,
  extent: { width: number; height: number },
  { horizontal, vertical }: Pick<Content, 'horizontal' | 'vertical'>,
): Rect {
  const across = { left: 0, centre: 0.5, right: 1 }[horizontal];
  const up = { bottom: 0, middle: 0.5, top: 1 }[vertical];
  return {
    x: room.x + across * (room.width - extent.width),
    y: room.y + up * (room.height - extent.height),
    ...extent,
  };
}

/** A shift in mm, in reading direction. */
export interface Shift {
  along: number;
  up: number;
}

/**
 * The part of a room that is left for what stands shifted in it: the edge that it keeps to is moved, and what stands in the middle
 * has the same room on both sides. So it moves by the shift, and still must not go past the room's other edges.
 */
export function shiftedRoom(
  room: Rect,
  { along, up }: Shift,
  { horizontal, vertical, rotation }: Pick<Content, 'horizontal' | 'vertical' | 'rotation'>,
): Rect {
  const upright = rotation % 180 === 0;
  const [across, high] = upright ? [room.width, room.height] : [room.height, room.width];
  const [from, to] = shiftedSpan(across, along, { left: 'start', centre: 'middle', right: 'end' } as const, horizontal);
  const [low, top] = shiftedSpan(high, up, { bottom: 'start', middle: 'middle', top: 'end' } as const, vertical);
  switch (rotation) {
    case 0:
      return { x: room.x + from, y: room.y + low, width: to - from, height: top - low };
    case 90:
      return { x: room.x + room.width - top, y: room.y + from, width: top - low, height: to - from };
    case 180:
      return { x: room.x + room.width - to, y: room.y + room.height - top, width: to - from, height: top - low };
    case 270:
      return { x: room.x + low, y: room.y + room.height - to, width: top - low, height: to - from };
  }
}

function shiftedSpan<Place extends string>(
  length: number,
  by: number,
  ends: Readonly<Record<Place, 'start' | 'middle' | 'end'>>,
  place: Place,
): [number, number] {
  const end = ends[place];
  const from = end === 'start' ? by : end === 'middle' ? by + Math.abs(by) : 0;
  const to = end === 'end' ? length + by : end === 'middle' ? length + by - Math.abs(by) : length;
  return from < to
    ? [from, to]
    : end === 'start'
      ? [from, from]
      : end === 'end'
        ? [to, to]
        : [length / 2 + by, length / 2 + by];
}
