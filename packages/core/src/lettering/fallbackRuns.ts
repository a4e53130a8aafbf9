import type { TextItem } from '../drawing';
import { typefaceRuns } from './fallback';
import { isPlainText } from './missingCharacters';
import type { Typefaces } from './typeface';
import { textWidth } from './typeface';

/** A text that says which of its letters come from the fallback typeface of this name; itself where none do. */
export function withFallbackRuns(item: TextItem, name: string | undefined, typefaces: Typefaces): TextItem {
  if (name === undefined || isPlainText(item.text)) return item;
  const [own, fallback] = [typefaces.get(item.typeface), typefaces.get(name)];
  if (!own || !fallback || own === fallback) return item;
  const found = typefaceRuns(item.text, own, fallback);
  if (!found.some((run) => run.fallback)) return item;
  let along = 0;
  const runs = found.map(({ text, fallback: other }): NonNullable<TextItem['runs']>[number] => {
    const width = textWidth(other ? fallback : own, text, item.height, item.widthFactor);
    const run = { text, typeface: other ? name : item.typeface, along, width };
    along += width;
    return run;
  });
  return { ...item, runs };
}
