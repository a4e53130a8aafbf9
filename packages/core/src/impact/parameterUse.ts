import type { Content, Design } from '../design';
import { cellsOf, setContent } from '../design';
import { parsePattern } from '../parameter';

/** Whether a content takes words from a parameter. */
const uses = (content: Content, key: string): boolean =>
  content.kind === 'field' && parsePattern(content.pattern).some((part) => 'key' in part && part.key === key);

/** The cells of a design in which a parameter stands, by id. */
export function cellsUsing(design: Design, key: string): string[] {
  return [...cellsOf(design)]
    .filter(({ cell }) => cell.contents.some((content) => uses(content, key)))
    .map(({ cell }) => cell.id);
}

/** A pattern with one key in place of another. */
function patternWith(pattern: string, from: string, to: string): string {
  return parsePattern(pattern)
    .map((part) => {
      if ('key' in part) return `{${part.key === from ? to : part.key}}`;
      return part.words.replace(/[{}]/g, (brace) => brace + brace);
    })
    .join('');
}

/** A design in which a parameter has another key, wherever it stands; the same design where it stands nowhere. */
export function renameParameter(design: Design, from: string, to: string): Design {
  let renamed = design;
  for (const { cell } of cellsOf(design)) {
    for (const content of cell.contents) {
      if (content.kind !== 'field' || !uses(content, from)) continue;
      renamed = setContent(renamed, { ...content, pattern: patternWith(content.pattern, from, to) });
    }
  }
  return renamed;
}
