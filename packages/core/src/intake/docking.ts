import type { Dock } from '../design';
import type { Rect } from '../geometry';
import { tableKindOf } from '../table';
import type { FoundTable } from './tables';

/** Edges this near to each other, in mm, are one. */
const NEAR = 0.15;

function touches(rect: Rect, area: Rect): { left: boolean; right: boolean; bottom: boolean; top: boolean } {
  return {
    left: Math.abs(rect.x - area.x) < NEAR,
    right: Math.abs(rect.x + rect.width - area.x - area.width) < NEAR,
    bottom: Math.abs(rect.y - area.y) < NEAR,
    top: Math.abs(rect.y + rect.height - area.y - area.height) < NEAR,
  };
}

/** Where a block docks in what is left of the frame. */
export function dockOf(rect: Rect, area: Rect): Dock {
  const at = touches(rect, area);
  if (at.top && at.bottom && at.right) return 'right';
  if (at.top && at.bottom && at.left) return 'left';
  if (at.left && at.right && at.bottom) return 'bottom';
  if (at.left && at.right && at.top) return 'top';
  if (at.right && at.bottom) return 'lower-right';
  if (at.left && at.bottom) return 'lower-left';
  if (at.right && at.top) return 'upper-right';
  if (at.left && at.top) return 'upper-left';
  return 'floating';
}

/** Panels along a whole edge claim their place before panels in corners. */
export function dockRank(rect: Rect, frame: Rect): number {
  const dock = dockOf(rect, frame);
  return dock === 'floating' ? 2 : dock.includes('-') ? 1 : 0;
}

export function remaining(area: Rect, taken: Rect, dock: Dock): Rect {
  switch (dock) {
    case 'left':
      return { ...area, x: area.x + taken.width, width: area.width - taken.width };
    case 'right':
      return { ...area, width: area.width - taken.width };
    case 'bottom':
      return { ...area, y: area.y + taken.height, height: area.height - taken.height };
    case 'top':
      return { ...area, height: area.height - taken.height };
    default:
      return area;
  }
}

export function panelName(dock: Dock, table: FoundTable | undefined): string {
  if (table) return tableKindOf(table.kind).name;
  const names: Record<Dock, string> = {
    left: 'Left strip',
    right: 'Right strip',
    top: 'Top strip',
    bottom: 'Bottom strip',
    'lower-right': 'Lower right block',
    'lower-left': 'Lower left block',
    'upper-right': 'Upper right block',
    'upper-left': 'Upper left block',
    floating: 'Block',
  };
  return names[dock];
}
