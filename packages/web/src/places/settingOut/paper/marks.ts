import type { CellLayout, Point, Rect, SheetLayout, WorkingUnit } from '@mendrel/core';
import { amountInWords } from '@mendrel/core';
import { INKS } from '../../../app/inks';

/** Turned by degrees, counter-clockwise, about a point. */
interface Turn {
  degrees: number;
  about: Point;
}

/** Something marked on the paper: a rectangle or words, in mm, y up. */
export type Mark = { key: string; colour: string; turn?: Turn } & (
  | { kind: 'box'; rect: Rect; ground: number; linePixels: number; dashPixels?: number[] }
  | { kind: 'words'; at: Point; height: number; words: string; centred: boolean }
);

/** The selected cells of a sheet that show on it. */
export const selectedOf = (layout: SheetLayout, selection: readonly string[]): CellLayout[] =>
  layout.cells.filter((each) => selection.includes(each.id) && !layout.hidden.has(each.id));

/** What is marked on the paper of setting-out: the drawing area, the selected cells, the texts that spill. */
export const marksOf = (layout: SheetLayout, unit: WorkingUnit, selection: readonly string[]): Mark[] => [
  areaNote(layout, unit),
  ...selectedOf(layout, selection).map((cell): Mark => ({
    key: cell.id,
    kind: 'box',
    colour: INKS.selected,
    rect: cell,
    ground: 0.1,
    linePixels: 2,
  })),
  ...layout.texts.filter((text) => text.fit === 'spills').flatMap((text) => spill(text, unit)),
];

/** Width of the words that say how far a text spills, in mm on paper. */
const SPILL_WORDS = 28;

/**
 * Grounds in the colour of the sheet under texts that spill and the words about them: where they run off the paper they would
 * stand in dark ink on a dark page.
 */
export const spillGrounds = (marks: readonly Mark[], sheet: string): Mark[] =>
  marks.flatMap((mark) =>
    mark.kind === 'box' && mark.colour === INKS.spills
      ? [
          {
            ...mark,
            key: `${mark.key} ground`,
            colour: sheet,
            rect: { ...mark.rect, width: mark.rect.width + SPILL_WORDS },
            ground: 1,
            linePixels: 0,
          },
        ]
      : [],
  );

/** The drawing area with its size, where it is large enough on screen to be read. */
function areaNote({ drawingArea: { x, y, width, height } }: SheetLayout, unit: WorkingUnit): Mark {
  const inUnit = (mm: number): string => (unit === 'mm' ? String(Math.round(mm * 100) / 100) : (mm / 25.4).toFixed(3));
  const size = Math.min(width, height) / 26;
  return {
    key: 'drawing area',
    kind: 'words',
    colour: INKS.note,
    at: { x: x + width / 2, y: y + size },
    height: size,
    words: `Drawing area ${inUnit(width)} × ${inUnit(height)} ${unit}`,
    centred: true,
  };
}

/** A text that spills: an outline in the colour of conflicts, a triangle, and by how much. */
function spill(text: SheetLayout['texts'][number], unit: WorkingUnit): Mark[] {
  const first = text.lines[0] ?? text;
  const upright = text.rotation % 180 === 0;
  const block = Math.abs(upright ? first.y - text.y : first.x - text.x) + text.height;
  const turn = { degrees: text.rotation, about: { x: text.x, y: text.y } };
  const rect = {
    x: text.x - 0.6,
    y: text.y - 0.6 - text.height * 0.3,
    width: text.width + 1.2,
    height: block + 1.2 + text.height * 0.3,
  };
  const at = { x: text.x + text.width + 1.4, y: text.y };
  const words = `spills ${amountInWords(text.by, unit)}`;
  return [
    {
      key: text.content,
      kind: 'box',
      colour: INKS.spills,
      turn,
      rect,
      ground: 0.08,
      linePixels: 1.5,
      dashPixels: [5, 3],
    },
    { key: `${text.content} by`, kind: 'words', colour: INKS.spills, turn, at, height: 3, words, centred: false },
  ];
}
