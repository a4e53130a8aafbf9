import { lengthAtStart } from '../quantity';

/** Functions whose second argument is a step, which stays what it is. */
const STEPPED = new Set(['round', 'floor', 'ceil']);

/**
 * A formula in which every length that is written out is changed: `strip / 2 + 12 mm` becomes `strip / 2 + 17 mm`. Plain numbers,
 * words and the steps of `round(…, 1 mm)` stay.
 */
export function mapLengths(text: string, change: (mm: number) => string): string {
  let out = '';
  /** The functions that are open, and whether their last argument has begun. */
  const open: { name: string; second: boolean }[] = [];
  for (let i = 0; i < text.length;) {
    const rest = text.slice(i);
    const skipped = /^(?:"[^"]*"|[A-Za-z_][\w.]*)/.exec(rest)?.[0];
    const at = open.at(-1);
    if (skipped !== undefined) {
      out += skipped;
      i += skipped.length;
      continue;
    }
    const found = /^[\d.]/.test(rest) ? lengthAtStart(rest) : undefined;
    if (found) {
      const written = rest.slice(0, found.characters);
      out += at?.second && STEPPED.has(at.name) ? written : change(found.mm);
      i += found.characters;
      continue;
    }
    const number = /^\d+(?:\.\d+)?/.exec(rest)?.[0];
    if (number !== undefined) {
      out += number;
      i += number.length;
      continue;
    }
    const sign = rest[0] ?? '';
    if (sign === '(') open.push({ name: /([A-Za-z]+)\s*$/.exec(out)?.[1] ?? '', second: false });
    else if (sign === ')') open.pop();
    else if (sign === ',' && at) at.second = true;
    out += sign;
    i++;
  }
  return out;
}
