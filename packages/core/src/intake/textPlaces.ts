import type { Rect } from '../geometry';
import type { LegacyText } from './legacyText';

/** The text's place in its cell as its reader sees it: along the line and up from the bottom, in mm. */
export function placeInCell(
  text: LegacyText,
  cell: Rect,
): { along: number; up: number; width: number; height: number } {
  const { x, y } = text.at;
  switch (text.rotation) {
    case 0:
      return { along: x - cell.x, up: y - cell.y, width: cell.width, height: cell.height };
    case 90:
      return { along: y - cell.y, up: cell.x + cell.width - x, width: cell.height, height: cell.width };
    case 180:
      return { along: cell.x + cell.width - x, up: cell.y + cell.height - y, width: cell.width, height: cell.height };
    case 270:
      return { along: cell.y + cell.height - y, up: x - cell.x, width: cell.height, height: cell.width };
  }
}

/** Width of a letter as a part of its height, in the simple lettering of old drawings (common practice). */
export const LETTER_WIDTH = 0.55;
/** Base lines of one line of a cell differ by less than this part of the height (common practice). */
export const SAME_LINE = 0.6;
