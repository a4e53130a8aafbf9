import { fieldFor } from './cellTexts';
import { CERTAINTY } from './certainty';
import type { Rect } from '../geometry';
import type { FoundCell } from './builtDesign';
import { normalCaption } from './lexicon';
import type { ReadText } from './readText';
import { SET_BY_HAND } from './readText';
import { mayBe } from './valueLooks';

/** Edges this near to each other are one, in mm. */
const NEAR = 0.4;
/** A cell that holds a caption alone is at most this many times as high as its letters. */
const SNUG = 5.5;

/** A caption that stands alone in a cell made for it, with the empty field that was put under it. */
interface Head {
  cell: FoundCell;
  caption: ReadText & { parameter: string };
}

function headOf(cell: FoundCell): Head | undefined {
  const written = cell.texts.filter((read) => read.text.text !== '');
  const [caption] = written;
  if (written.length !== 1 || caption?.kind !== 'caption' || !caption.parameter || caption.why === SET_BY_HAND)
    return undefined;
  const across = caption.text.rotation % 180 === 0 ? cell.face.height : cell.face.width;
  return across <= SNUG * caption.text.height
    ? { cell, caption: caption as ReadText & { parameter: string } }
    : undefined;
}

/** A cell with values in it that no caption of its own explains. */
const holdsValues = ({ texts }: FoundCell): boolean =>
  texts.some((read) => read.text.text !== '') &&
  texts.every((read) => read.kind !== 'caption' && read.text.tag === undefined && read.why !== SET_BY_HAND);

const meets = (a: number, b: number): boolean => Math.abs(a - b) < NEAR;

/** Whether a cell begins where another one ends, along its row. */
export const isBeside = (head: Rect, cell: Rect): boolean =>
  meets(head.x + head.width, cell.x) && meets(head.y, cell.y) && meets(head.height, cell.height);

/** Whether a cell hangs under another one of the same width. */
export const isUnder = (head: Rect, cell: Rect): boolean =>
  meets(cell.y + cell.height, head.y) && meets(head.x, cell.x) && meets(head.width, cell.width);

/** Whether a text in another cell may be what a caption asks for; a date there has figures in it. */
const isAnswer = (parameter: string, text: string): boolean =>
  mayBe(parameter, text) && (!/[dD]ate$/.test(parameter) || /\d/.test(text));

/** Cells between a caption and its value at most: a date before a name, say. */
const MOST_STEPS = 3;

/** The next cell along the row, or down the column, with a value that the caption may ask for. */
function valueFrom(
  { cell, caption }: Head,
  where: (head: Rect, cell: Rect) => boolean,
  cells: readonly FoundCell[],
  taken: ReadonlySet<FoundCell>,
): FoundCell | undefined {
  let from = cell.face;
  for (let step = 0; step < MOST_STEPS; step++) {
    const next = cells.find((each) => where(from, each.face));
    if (!next || !holdsValues(next)) return undefined;
    if (!taken.has(next) && next.texts.every((read) => isAnswer(caption.parameter, read.text.text))) return next;
    from = next.face;
  }
  return undefined;
}

/**
 * Forms keep captions in cells of their own: the value stands in the next cell of the row, or in the cell below. Gives
 * such values their parameters, and takes the empty field away from under the caption.
 */
export function readNeighbours(cells: readonly FoundCell[]): void {
  const taken = new Set<FoundCell>();
  for (const [where, words] of [
    [isBeside, 'stands beside'],
    [isUnder, 'stands in the cell under'],
  ] as const) {
    for (const cell of cells) {
      const head = headOf(cell);
      if (!head || taken.has(cell)) continue;
      const value = valueFrom(head, where, cells, taken);
      if (!value) continue;
      const { caption } = head;
      const why = `${words} “${caption.text.text}”`;
      value.texts = value.texts.map((read) =>
        read.kind === 'option'
          ? { ...read, parameter: caption.parameter, confidence: CERTAINTY.neighbour, why }
          : fieldFor(read.text, caption.parameter, CERTAINTY.neighbour, why),
      );
      cell.texts = [caption];
      taken.add(cell).add(value);
    }
  }
}

/** Heads a column of people in a form, and asks for nothing by itself. */
const NAME = /^(name|namen|nom|noms|nombre|nome|naam|navn|namn)$/;
const PERSON = /^sheet\.(drawn|designed|checked|approved)By$/;

/** "Name" over a column of people is a caption, although it says no more than that. */
export function readNameColumns(cells: readonly FoundCell[]): void {
  for (const cell of cells) {
    const [only, ...others] = cell.texts;
    if (only?.kind !== 'note' || others.length > 0 || !NAME.test(normalCaption(only.text.text))) continue;
    const under = cells.find((each) => isUnder(cell.face, each.face));
    if (!under?.texts.some((read) => read.kind === 'field' && PERSON.test(read.parameter ?? ''))) continue;
    const why = 'heads a column of people';
    cell.texts = [{ ...only, kind: 'caption', confidence: CERTAINTY.neighbour, why }];
  }
}
