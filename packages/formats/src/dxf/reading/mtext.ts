/** Takes the formatting codes out of the text of an MTEXT entity; paragraphs and line breaks come out as lines. */
export function plainMtext(text: string): string {
  let plain = '';
  for (let i = 0; i < text.length; i++) {
    const sign = text[i] ?? '';
    if (sign === '{' || sign === '}') continue;
    if (sign === '^') {
      // Control characters are written with a caret: ^I is a tab, ^J and ^M end a line; a caret by itself has a space after.
      const next = text[++i];
      if (next === 'I') plain += ' ';
      else if (next === 'J') plain += '\n';
      else if (next === ' ') plain += '^';
      continue;
    }
    if (sign === '%' && text[i + 1] === '%') {
      const known: Record<string, string> = { d: '°', p: '±', c: '⌀', '%': '%' };
      const special = known[(text[i + 2] ?? '').toLowerCase()];
      if (special !== undefined) {
        plain += special;
        i += 2;
        continue;
      }
      const number = /^\d{3}/.exec(text.slice(i + 2, i + 5))?.[0];
      if (number !== undefined) {
        plain += String.fromCharCode(Number(number));
        i += 4;
        continue;
      }
    }
    if (sign !== '\\') {
      plain += sign;
      continue;
    }
    const code = text[++i] ?? '';
    if (code === 'P' || code === 'X' || code === 'N') plain += '\n';
    else if (code === '~') plain += ' ';
    else if (code === '\\' || code === '{' || code === '}') plain += code;
    else if (code === 'U' && text[i + 1] === '+') {
      plain += String.fromCodePoint(Number.parseInt(text.slice(i + 2, i + 6), 16) || 0xfffd);
      i += 5;
    } else if (code === 'S') {
      // Stacked fractions: "1^2", "1/2" and "1#2" all read as 1/2.
      const end = text.indexOf(';', i);
      const stacked = text.slice(i + 1, end < 0 ? text.length : end);
      plain += stacked.replace(/\^ ?|#/, '/').trim();
      i = end < 0 ? text.length : end;
    } else if ('ACcFfHQTWp'.includes(code)) {
      const end = text.indexOf(';', i);
      i = end < 0 ? text.length : end;
    }
    // Single letters (L, O, K and their ends) switch lines over and under the text: nothing to keep.
  }
  return plain
    .split('\n')
    .map((line) => line.trimEnd())
    .join('\n');
}
