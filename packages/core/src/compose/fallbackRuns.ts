import type { Item, TextItem } from '../drawing';
import type { Typefaces } from '../lettering';
import { isPlainText, textWidth, typefaceRuns } from '../lettering';
import type { OfficeStandard } from '../standard';

/** Items whose texts say which of their letters come from the fallback typeface of the office. */
export function withFallbackRuns(
  items: Item[],
  { fallbackTypeface: name }: Pick<OfficeStandard, 'fallbackTypeface'>,
  typefaces: Typefaces,
): Item[] {
  const fallback = name === undefined ? undefined : typefaces.get(name);
  if (name === undefined || !fallback) return items;
  return items.map((item) => {
    if (item.kind !== 'text' || isPlainText(item.text)) return item;
    const own = typefaces.get(item.typeface);
    if (!own || own === fallback) return item;
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
  });
}
