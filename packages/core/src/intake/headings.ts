import type { Rect } from '../geometry';
import type { ReadText } from './readText';
import { LETTERING_SIZES } from './certainty';
import type { LegacyText } from './legacyText';
import { placeInCell, SAME_LINE } from './textPlaces';

/** What stands over this part of its cell's height heads the cell. */
const UPPER_PART = 0.6;

const inCapitals = (words: string): boolean => words === words.toUpperCase() && /[A-Z]{3}/.test(words);

/**
 * Whether a text stands on one line with a caption, as high as it and in capitals like it, while the values of the cell are
 * larger.
 */
export function isCaptionLike(
  text: LegacyText,
  captions: readonly ReadText[],
  values: readonly LegacyText[],
  cell: Rect,
): boolean {
  if (text.tag !== undefined || !inCapitals(text.text) || /\d/.test(text.text)) return false;
  const larger = values.some((each) => each !== text && each.height > LETTERING_SIZES.larger * text.height);
  const { up } = placeInCell(text, cell);
  return (
    larger &&
    captions.some(
      (each) =>
        each.text.text === each.text.text.toUpperCase() &&
        Math.abs(each.text.height / text.height - 1) < LETTERING_SIZES.same &&
        Math.abs(placeInCell(each.text, cell).up - up) < SAME_LINE * text.height,
    )
  );
}

/** Lines under a heading, and words of one, at most. */
const LINES = { fewest: 2, words: 5 } as const;

/** What is this much larger than the lines under it is a name. */
const NAME = 1.5;
/** Lines of a letterhead: under them stands who somebody is, and no list. */
const LETTERHEAD = /@|www\.|\btel\b|\bphone\b|\bfax\b|\+\d{2}/i;

/** Whether the first text of a cell heads lines of one height: consultants, notes, a key. */
export function headsLines(text: LegacyText, lines: readonly LegacyText[]): boolean {
  const [first] = lines;
  if (!first || lines.length < LINES.fewest || text.tag !== undefined || /\d/.test(text.text)) return false;
  const alike = lines.every(
    (line) =>
      line.tag === undefined &&
      line.rotation === text.rotation &&
      Math.abs(line.height / first.height - 1) < LETTERING_SIZES.same,
  );
  if (!alike || lines.some((line) => LETTERHEAD.test(line.text))) return false;
  if (text.height < LETTERING_SIZES.smaller * first.height || text.height > NAME * first.height) return false;
  const larger = text.height > LETTERING_SIZES.larger * first.height;
  const capitals = inCapitals(text.text) && lines.filter((line) => inCapitals(line.text)).length < lines.length / 2;
  return (larger || capitals) && text.text.split(/\s+/).length <= LINES.words;
}

export function looksLikeCaption(text: LegacyText, cell: Rect): boolean {
  const { up, height } = placeInCell(text, cell);
  return inCapitals(text.text) && !/\d/.test(text.text) && up + text.height / 2 > height * UPPER_PART;
}
