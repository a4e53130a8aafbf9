import type { Drawing } from '../drawing';
import { boundsOf } from '../drawing';
import type { Rect } from '../geometry';
import { contains } from '../geometry';

/** Things beside the title block that are handed back for showing: of a plan as much as a screen can show. */
const MOST_SHOWN = 20_000;
/** What lies this near to the frame or a cell is shown in any case, in mm. */
const NEAR = 2;

/**
 * An old drawing as it is shown beside its design: all of its texts, its frame and its title block; of what lies in the drawing area
 * the first so many things. It is sent about and drawn, and a plan may have hundreds of thousands.
 * @returns with how many things were left out
 */
export function shownLegacy(legacy: Drawing, frame: Rect, parts: readonly Rect[]): { legacy: Drawing; left: number } {
  if (legacy.items.length <= MOST_SHOWN) return { legacy, left: 0 };
  const inner = {
    x: frame.x + NEAR,
    y: frame.y + NEAR,
    width: frame.width - 2 * NEAR,
    height: frame.height - 2 * NEAR,
  };
  let [beside, left] = [0, 0];
  const items = legacy.items.filter((item) => {
    if (item.kind === 'text') return true;
    const { x, y, width, height } = boundsOf(item);
    const within = contains(inner, { x, y }) && contains(inner, { x: x + width, y: y + height });
    const middle = { x: x + width / 2, y: y + height / 2 };
    if (!within || parts.some((part) => contains(part, middle, NEAR))) return true;
    if (++beside <= MOST_SHOWN) return true;
    left++;
    return false;
  });
  return { legacy: { ...legacy, items }, left };
}
