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
