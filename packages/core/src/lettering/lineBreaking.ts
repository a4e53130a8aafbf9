// oxlint-disable-next-line typescript/triple-slash-reference -- the package has no types, and the rooms that import this one need them too
/// <reference path="./linebreak.d.ts" />
import LineBreaker from 'linebreak';

/** Texts longer than this are cut before they are broken into lines; no cell of a title block holds as much. */
export const MOST_TEXT = 4000;

const known = new Map<string, string[]>();
const MOST_KNOWN = 2000;

/** The pieces of a text between which a line may end (Unicode line breaking, UAX 14), with their trailing spaces. */
function pieces(paragraph: string): string[] {
  const before = known.get(paragraph);
  if (before) return before;
  const breaker = new LineBreaker(paragraph);
  const found: string[] = [];
  let last = 0;
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) {
    found.push(paragraph.slice(last, next.position));
    last = next.position;
  }
  // The same words are set for every size and at every step of a drag.
  if (known.size >= MOST_KNOWN) known.clear();
  known.set(paragraph, found);
  return found;
}

/**
 * Breaks a text into lines no wider than `width` where that is possible; a single word that is wider stands alone.
 * @param measure width of a text on one line, in the unit of `width`
 */
export function breakLines(text: string, width: number, measure: (line: string) => number): string[] {
  const lines: string[] = [];
  for (const paragraph of text.slice(0, MOST_TEXT).split(/\r?\n/)) {
    if (paragraph === '' || measure(paragraph) <= width) {
      lines.push(paragraph);
      continue;
    }
    let line = '';
    for (const piece of pieces(paragraph)) {
      if (line !== '' && measure((line + piece).trimEnd()) > width) {
        lines.push(line.trimEnd());
        line = piece;
      } else line += piece;
    }
    lines.push(line.trimEnd());
  }
  return lines;
}
