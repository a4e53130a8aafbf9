import type { TextItem } from '@mendrel/core';
import type { Matrix } from '../../geometry/matrix';

/** A run of text as it stands on a page. */
export interface PageText {
  words: string;
  /** From a typeface one unit high to the page's units. */
  matrix: readonly number[];
  /** Length of the run in the page's units. */
  width: number;
  /** Height of capitals to the size of the typeface. */
  capitals: number;
}

/** Runs on one line are one text when the room between them is less than this many times the height of capitals. */
const WORD_GAP = 0.9;
/** Runs closer than this belong to one word. */
const LETTER_GAP = 0.2;

/**
 * The texts of a page as items in mm with y up. Programs write a line in several runs, one for each word or even letter;
 * runs that follow each other on a line in the same height are one text.
 */
export function textItemsOf(texts: readonly PageText[], toPaper: Matrix): TextItem[] {
  const items: TextItem[] = [];
  for (const text of texts) {
    const item = itemOf(text, toPaper);
    if (!item) continue;
    const last = items.at(-1);
    const gap = last ? gapBetween(last, item) : undefined;
    if (last && gap !== undefined && gap < WORD_GAP * item.height) {
      const space = gap > LETTER_GAP * item.height && !/\s$/.test(last.text) && !/^\s/.test(item.text) ? ' ' : '';
      last.text += space + item.text;
      last.width += Math.max(0, gap) + item.width;
    } else items.push(item);
  }
  return items.flatMap((item) => {
    const text = item.text.trim();
    return text === '' ? [] : [{ ...item, text }];
  });
}

function itemOf({ words, matrix, width, capitals }: PageText, toPaper: Matrix): TextItem | undefined {
  const [a, b, c, d, e, f] = toPaper;
  const [ta = 0, tb = 0, tc = 0, td = 0, te = 0, tf = 0] = matrix;
  const scale = Math.sqrt(Math.abs(a * d - b * c));
  const [rightX, rightY] = [a * ta + c * tb, b * ta + d * tb];
  const size = Math.hypot(tc, td) * scale;
  // What is set in no height at all is put there to be searched for, not to be seen.
  if (!(size > 0.05) || words.trim() === '' || words.length > 2000) return undefined;
  const degrees = (Math.atan2(rightY, rightX) * 180) / Math.PI;
  return {
    kind: 'text',
    layer: 'Text',
    part: 'block',
    text: words.replace(/\s+/g, ' '),
    at: { x: a * te + c * tf + e, y: b * te + d * tf + f },
    height: size * capitals,
    width: width * scale,
    widthFactor: 1,
    rotation: (((Math.round(degrees * 1000) / 1000) % 360) + 360) % 360,
    typeface: '',
    role: '',
    align: 'left',
  };
}

/** The room between the end of a text and the start of the next, in mm; undefined when they stand on different lines. */
function gapBetween(last: TextItem, next: TextItem): number | undefined {
  if (last.rotation !== next.rotation || Math.abs(last.height / next.height - 1) > 0.05) return undefined;
  const turn = (last.rotation * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  const [dx, dy] = [next.at.x - last.at.x, next.at.y - last.at.y];
  const [along, up] = [dx * c + dy * s, dy * c - dx * s];
  const gap = along - last.width;
  return Math.abs(up) < 0.15 * last.height && gap > -0.5 * last.height ? gap : undefined;
}
