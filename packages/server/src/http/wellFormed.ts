import { isStorable, storable } from '@mendrel/core';
import { Failure } from './failure';

/** JSON that is nested deeper than this is refused: no document of ours comes near it, and readers walk it by recursion. */
const MOST_DEPTH = 200;

interface Place {
  value: unknown;
  depth: number;
  key: string;
  parent: Place | undefined;
}

function pathOf(place: Place): string {
  const keys: string[] = [];
  for (let each: Place | undefined = place; each?.parent; each = each.parent) keys.unshift(storable(each.key));
  return keys.join('.');
}

/**
 * Refuses JSON that the database cannot keep or that is nested too deep.
 * @throws Failure `invalid` that names the place
 */
export function refuseUnstorable(value: unknown): void {
  // By a list and not by recursion: what is nested a million deep must not end the stack.
  const open: Place[] = [{ value, depth: 0, key: '', parent: undefined }];
  for (let place = open.pop(); place; place = open.pop()) {
    const { value: here, depth } = place;
    if (typeof here === 'string') refuseText(here, place);
    else if (typeof here === 'object' && here !== null) {
      if (depth >= MOST_DEPTH) throw new Failure('invalid', `what was sent is nested more than ${MOST_DEPTH} deep`);
      for (const [key, inner] of Object.entries(here)) {
        const child: Place = { value: inner, depth: depth + 1, key, parent: place };
        refuseText(key, child);
        open.push(child);
      }
    }
  }
}

function refuseText(text: string, place: Place): void {
  if (isStorable(text)) return;
  const where = pathOf(place);
  const message = 'there is a character in this text that cannot be kept (U+0000 or half of a pair); delete it';
  throw new Failure('invalid', where === '' ? message : `${where}: ${message}`, where || undefined);
}
