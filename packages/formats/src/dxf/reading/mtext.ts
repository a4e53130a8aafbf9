/** The words of an MTEXT entity, and how high each of its lines begins. */
export interface MtextLines {
  text: string;
  heights: number[];
}

/** Takes the formatting codes out of the text of an MTEXT entity; paragraphs and line breaks come out as lines. */
export const plainMtext = (text: string): string => mtextLines(text, 1).text;

/**
 * The lines of an MTEXT entity without formatting codes, with the heights that the codes give them.
 * @param height of its letters where no code says otherwise
 */
export function mtextLines(text: string, height: number): MtextLines {
  let plain = '';
  let now = height;
  let begun: number | undefined;
  const heights: number[] = [];
  /** Heights to come back to where braces end. */
  const outer: number[] = [];
  const add = (letters: string): void => {
    plain += letters;
    if (letters !== '\n') {
      if (letters.trim() !== '') begun ??= now;
      return;
    }
    heights.push(begun ?? now);
    begun = undefined;
  };
  for (let i = 0; i < text.length; i++) {
    const sign = text[i] ?? '';
    if (sign === '{') outer.push(now);
    else if (sign === '}') now = outer.pop() ?? now;
    if (sign === '{' || sign === '}') continue;
    if (sign === '^') {
      // Control characters are written with a caret: ^I is a tab, ^J and ^M end a line; a caret by itself has a space after.
      const next = text[++i];
      if (next === 'I') add(' ');
      else if (next === 'J') add('\n');
      else if (next === ' ') add('^');
      continue;
    }
    if (sign === '%' && text[i + 1] === '%') {
      const known: Record<string, string> = { d: '°', p: '±', c: '⌀', '%': '%' };
      const special = known[(text[i + 2] ?? '').toLowerCase()];
      if (special !== undefined) {
        add(special);
        i += 2;
        continue;
      }
      const number = /^\d{3}/.exec(text.slice(i + 2, i + 5))?.[0];
      if (number !== undefined) {
        add(String.fromCharCode(Number(number)));
        i += 4;
        continue;
      }
    }
    if (sign !== '\\') {
      add(sign);
      continue;
    }
    const code = text[++i] ?? '';
    if (code === 'P' || code === 'X' || code === 'N') add('\n');
    else if (code === '~') add(' ');
    else if (code === '\\' || code === '{' || code === '}') add(code);
    else if (code === 'U' && text[i + 1] === '+') {
      add(String.fromCodePoint(Number.parseInt(text.slice(i + 2, i + 6), 16) || 0xfffd));
      i += 5;
    } else if (code === 'S') {
      // Stacked fractions: "1^2", "1/2" and "1#2" all read as 1/2.
      const end = text.indexOf(';', i);
      const stacked = text.slice(i + 1, end < 0 ? text.length : end);
      add(stacked.replace(/\^ ?|#/, '/').trim());
      i = end < 0 ? text.length : end;
    } else if ('ACcFfHQTWp'.includes(code)) {
      const end = text.indexOf(';', i);
      if (code === 'H') now = heightOf(text.slice(i + 1, end < 0 ? text.length : end), now);
      i = end < 0 ? text.length : end;
    }
    // Single letters (L, O, K and their ends) switch lines over and under the text: nothing to keep.
  }
  heights.push(begun ?? now);
  const lines = plain.split('\n').map((line) => line.trimEnd());
  return { text: lines.join('\n'), heights };
}

/** A height as a code gives it: "2.5", or "0.7x" of what it was. */
function heightOf(code: string, before: number): number {
  const [, figures, times] = /^\s*(\d*\.?\d+)\s*(x?)/i.exec(code) ?? [];
  const value = Number(figures);
  return value > 0 ? (times ? value * before : value) : before;
}
