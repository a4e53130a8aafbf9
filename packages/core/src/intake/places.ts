import type { Drawing, Item, StrokeItem } from '../drawing';
import { boundsOf, placed } from '../drawing';
import { round } from './rounding';
import type { SeenSheet } from './seenSheet';

/** Width of the lines of such a picture, in mm. */
const LINE = 0.25;

/** A sheet of a file that holds several: in the model, on page layouts, on pages. */
export interface LegacyPlace {
  space: string;
  /** Which of the sheets in its space, from 0. */
  place: number;
  /** Its longest lines in mm on paper, enough to know it by. */
  picture: Drawing;
  taken: boolean;
}

const MOST_LINES = 700;
const MOST_NUMBERS = 60;

/** Every sheet in a space, drawn small. */
export function placesIn(space: string, { seen, sheet, sheets }: SeenSheet, taken: boolean): LegacyPlace[] {
  const strokes = seen.items
    .filter((item) => item.kind === 'stroke' && item.points.length <= MOST_NUMBERS)
    .map((item) => ({ item, bounds: boundsOf(item) }))
    .map(({ item, bounds }) => ({
      item,
      x: bounds.x + bounds.width / 2,
      y: bounds.y + bounds.height / 2,
      length: Math.max(bounds.width, bounds.height),
    }))
    .sort((a, b) => b.length - a.length);
  return sheets.map((each, place) => {
    const { origin, unitsPerPaperMm, width, height } = each;
    const items = strokes
      .filter(
        ({ x, y }) =>
          x > origin.x &&
          y > origin.y &&
          x < origin.x + width * unitsPerPaperMm &&
          y < origin.y + height * unitsPerPaperMm,
      )
      .slice(0, MOST_LINES)
      .map(({ item }) =>
        plain(placed(item, 1 / unitsPerPaperMm, -origin.x / unitsPerPaperMm, -origin.y / unitsPerPaperMm)),
      );
    return {
      space,
      place,
      picture: { width, height, items: items.filter((item) => item !== undefined) },
      taken: taken && origin.x === sheet.origin.x && origin.y === sheet.origin.y,
    };
  });
}

function plain(item: Item): StrokeItem | undefined {
  return item.kind === 'stroke'
    ? {
        kind: 'stroke',
        layer: '',
        part: 'block',
        points: item.points.map((each) => round(each, 1)),
        closed: item.closed,
        width: LINE,
      }
    : undefined;
}
