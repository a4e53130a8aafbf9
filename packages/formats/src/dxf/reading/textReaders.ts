import type { DxfText } from './document';
import { mtextLines } from './mtext';
import { NO_MORE, nextOwn } from './ownPairs';
import type { DxfTokens } from './tokens';

const HORIZONTAL = ['left', 'centre', 'right', 'left', 'centre', 'left'] as const;
const VERTICAL = ['base', 'bottom', 'middle', 'top'] as const;

/**
 * %%d, %%p, %%c and %%nnn are the degree, plus-minus and diameter signs and characters by number, %%u and %%o lines;
 * \\U+nnnn is a character by its Unicode number.
 */
export function plainText(text: string): string {
  if (!text.includes('%') && !text.includes('\\')) return text;
  const decoded = text.replace(/\\U\+([0-9A-Fa-f]{4})/g, (_, code: string) => String.fromCharCode(parseInt(code, 16)));
  return decoded.replace(/%%(\d{3}|.)/g, (whole, sign: string) => {
    if (/^\d{3}$/.test(sign)) return String.fromCharCode(Number(sign));
    const known: Record<string, string> = { d: '°', p: '±', c: '⌀', u: '', o: '', k: '', '%': '%' };
    return known[sign.toLowerCase()] ?? whole;
  });
}

const emptyText = (of: DxfText['of'], line: number): DxfText => ({
  type: 'TEXT',
  of,
  layer: '0',
  line,
  paperSpace: false,
  text: '',
  x: 0,
  y: 0,
  height: 0,
  rotation: 0,
  widthFactor: 1,
  horizontal: 'left',
  vertical: 'base',
});

const degrees = (x: number, y: number): number => (Math.atan2(y, x) * 180) / Math.PI;

/** A reader of TEXT, ATTRIB or ATTDEF. */
export function text(of: 'TEXT' | 'ATTRIB' | 'ATTDEF') {
  const verticalCode = of === 'TEXT' ? 73 : 74;
  return (tokens: DxfTokens): DxfText => {
    const read = emptyText(of, tokens.line);
    let [alignX, alignY, aligned] = [0, 0, false];
    let [horizontal, vertical, flags] = [0, 0, 0];
    for (let code = nextOwn(tokens, read); code !== NO_MORE; code = nextOwn(tokens, read)) {
      if (code === 1) read.text = plainText(tokens.text());
      else if (code === 10) read.x = tokens.number();
      else if (code === 20) read.y = tokens.number();
      else if (code === 11) {
        alignX = tokens.number();
        aligned = true;
      } else if (code === 21) alignY = tokens.number();
      else if (code === 40) read.height = tokens.number();
      else if (code === 41) read.widthFactor = tokens.number();
      else if (code === 50) read.rotation = tokens.number();
      else if (code === 72) horizontal = tokens.number();
      else if (code === verticalCode) vertical = tokens.number();
      else if (of === 'TEXT') continue;
      else if (code === 70) flags = tokens.number();
      else if (code === 2) read.tag = tokens.text().trim();
      else if (code === 3 && of === 'ATTDEF') read.prompt = tokens.text().trim();
    }
    // Aligned and fitted texts run from the first point to the second. Of other texts the first point is the start of the
    // base line in every file; the second counts only for other alignments.
    if (aligned && (horizontal === 3 || horizontal === 5)) read.rotation = degrees(alignX - read.x, alignY - read.y);
    else if (aligned && (horizontal !== 0 || vertical !== 0)) {
      read.x = alignX;
      read.y = alignY;
    }
    read.horizontal = HORIZONTAL[horizontal] ?? 'left';
    // Horizontal 4 is "middle": centred both ways.
    read.vertical = horizontal === 4 ? 'middle' : (VERTICAL[vertical] ?? 'base');
    if ((flags & 1) === 1) read.hidden = true;
    return read;
  };
}

export function mtext(tokens: DxfTokens): DxfText {
  const read = emptyText('MTEXT', tokens.line);
  let [words, attachment, alongX, alongY] = ['', 1, 0, 0];
  for (let code = nextOwn(tokens, read); code !== NO_MORE; code = nextOwn(tokens, read)) {
    if (code === 1 || code === 3) words += tokens.text();
    else if (code === 10) read.x = tokens.number();
    else if (code === 20) read.y = tokens.number();
    else if (code === 40) read.height = tokens.number();
    else if (code === 50) read.rotation = tokens.number();
    else if (code === 11) alongX = tokens.number();
    else if (code === 21) alongY = tokens.number();
    else if (code === 71) attachment = tokens.number();
  }
  if (alongX !== 0 || alongY !== 0) read.rotation = degrees(alongX, alongY);
  const { text, heights } = mtextLines(words, read.height);
  read.text = text;
  if (heights.some((height) => height !== read.height)) read.lineHeights = heights;
  read.horizontal = (['left', 'centre', 'right'] as const)[(attachment - 1) % 3] ?? 'left';
  read.vertical = attachment <= 3 ? 'top' : attachment <= 6 ? 'middle' : 'bottom';
  return read;
}
