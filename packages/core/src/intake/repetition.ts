import type { FoundCell } from './builtDesign';
import { CERTAINTY, LETTERING_SIZES } from './certainty';
import type { ReadText } from './readText';
import { SET_BY_HAND } from './readText';
import { placeInCell } from './textPlaces';

/** Captions of a block begin as far from the edges of their cells as one another, within so many mm. */
const SAME_PLACE = 0.6;
const NO_GUESS = 'stands under a caption that nobody knows';
/** Cells that show where captions stand, at the least. */
const FEWEST = 3;

interface Place {
  along: number;
  below: number;
  height: number;
}

function placeOf({ text }: ReadText, { face }: FoundCell): Place {
  const { along, up, height } = placeInCell(text, face);
  return { along, below: height - up - text.height, height: text.height };
}

const isSame = (a: Place, b: Place): boolean =>
  Math.abs(a.along - b.along) < SAME_PLACE &&
  Math.abs(a.below - b.below) < SAME_PLACE &&
  Math.abs(a.height / b.height - 1) < LETTERING_SIZES.same;

/** Whether nobody said what a text is; that a value looks like a date or a number is a guess. */
const isUnknown = ({ kind, confidence }: ReadText): boolean =>
  kind === 'note' || (kind === 'field' && confidence === CERTAINTY.byItsLook);

/** The upper of two or more texts in a cell that nobody knows anything of; it has no figures. */
function upperUnknown(cell: FoundCell): ReadText | undefined {
  const [first, ...rest] = [...cell.texts].sort((a, b) => placeOf(a, cell).below - placeOf(b, cell).below);
  const unknown = cell.texts.every(
    (read) => isUnknown(read) && read.text.tag === undefined && read.why !== SET_BY_HAND,
  );
  const level = rest.every(({ text }) => text.rotation === first?.text.rotation);
  return first && rest.length > 0 && first.kind === 'note' && unknown && level && !/\d/.test(first.text.text)
    ? first
    : undefined;
}

/**
 * Captions in words that nobody knows, as high as what they head: what stands in its cell where captions stand in other cells of the
 * block is one too.
 */
export function readRepeated(cells: readonly FoundCell[]): void {
  const open = cells.flatMap((cell) => {
    const first = upperUnknown(cell);
    return first ? [{ cell, first, place: placeOf(first, cell) }] : [];
  });
  if (open.length === 0) return;
  const known = cells.flatMap((cell) =>
    cell.texts.flatMap((read) => (read.kind === 'caption' && read.text.text !== '' ? [placeOf(read, cell)] : [])),
  );
  for (const { cell, first, place } of open) {
    const alike = [...known, ...open.map((each) => each.place)].filter((each) => isSame(each, place)).length;
    if (alike < FEWEST) continue;
    const why = 'stands where captions stand in other cells';
    // What a caption asks for that nobody knows is not guessed at from how its value looks.
    cell.texts = cell.texts.map(({ text, ...read }): ReadText => {
      if (text === first.text) return { text, kind: 'caption', confidence: CERTAINTY.asInOthers, why };
      return { text, kind: 'note', confidence: CERTAINTY.noCaption, why: read.kind === 'note' ? read.why : NO_GUESS };
    });
  }
}
