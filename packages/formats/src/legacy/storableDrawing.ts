import type { LegacySpace } from '@mendrel/core';
import { isStorable, storable } from '@mendrel/core';

/**
 * Replaces characters that can neither be kept in a database nor written to a file in everything that a reader took over
 * from a drawing: texts, names of layers, blocks and pages.
 */
export function withStorableTexts(spaces: LegacySpace[]): LegacySpace[] {
  // Names of layers come again and again; each is looked at once.
  const seen = new Map<string, string>();
  const clean = (text: string): string => {
    const known = seen.get(text);
    if (known !== undefined) return known;
    const sound = storable(text);
    if (seen.size < 10_000) seen.set(text, sound);
    return sound;
  };
  const cleanAll = (record: object): void => {
    for (const key in record) {
      const value: unknown = Reflect.get(record, key);
      if (typeof value === 'string' && !isStorable(value)) Reflect.set(record, key, clean(value));
    }
  };
  for (const space of spaces) {
    cleanAll(space);
    cleanAll(space.drawing.source);
    for (const each of space.drawing.dropped) cleanAll(each);
    for (const item of space.drawing.items) {
      item.layer = clean(item.layer);
      if (item.kind === 'text' || item.kind === 'image' || item.colour !== undefined) cleanAll(item);
    }
  }
  return spaces;
}
