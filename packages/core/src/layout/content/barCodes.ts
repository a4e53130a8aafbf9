import JsBarcode from 'jsbarcode';
import type { Finding } from '../../check';
import type { BarCode } from '../../design';
import { textWidth } from '../../lettering';
import { fillPattern } from '../../parameter';
import { amountInWords } from '../../quantity';
import type { BoxKind, Measuring, PlacedBox, Room } from './kind';
import { missingValues } from './missingValues';
import { tooLarge } from './tooLarge';
import { unknownRoles } from './unknownRoles';
import { within } from './within';

/** A bar code where it came to stand; lengths in mm. */
export interface BarCodeLayout extends PlacedBox<BarCode> {
  /** Whether each step along it is dark; none where there is nothing to say. */
  steps: readonly boolean[];
  /** Height of the bars, which stand on the words. */
  bars: number;
  words: { text: string; x: number; y: number; width: number };
}

/** Clear steps at either end (ISO/IEC 15417, from memory). */
const CLEAR = 10;
/** Steps narrower than this are not read off a print, in mm: 10 mil (common practice). */
const LEAST_STEP = 0.254;
/** No reader takes in more at once (common practice). */
const MOST_SIGNS = 48;
/** Signs that the code has: those of ASCII that are seen, and the blank. */
const SAYABLE = /^[\x20-\x7e]*$/;
/** From the bars down to the capitals of the words, as a part of their height. */
const OVER_WORDS = 0.5;

const known = new Map<string, readonly boolean[]>();

/** The steps of a text as Code 128 (ISO/IEC 15417), with the clear ends. */
function stepsOf(text: string): readonly boolean[] {
  let steps = known.get(text);
  if (!steps) {
    const made: { encodings?: { data: string }[] } = {};
    JsBarcode(made, text, { format: 'CODE128' });
    const clear = new Array<boolean>(CLEAR).fill(false);
    const dark = (made.encodings ?? []).flatMap(({ data }) => [...data].map((step) => step === '1'));
    steps = [...clear, ...dark, ...clear];
    if (known.size > 200) known.clear();
    known.set(text, steps);
  }
  return steps;
}

const isSayable = (text: string): boolean => SAYABLE.test(text) && text.length <= MOST_SIGNS;

function measured(content: BarCode, { setting, length }: Measuring) {
  const { text } = fillPattern(content.pattern, setting.values);
  const role = setting.standard.roles.find((each) => each.id === content.role);
  const typeface = role && setting.typefaces.get(role.typeface);
  const [width, bars] = [length(content.width), length(content.height)];
  const letters = role?.height ?? 0;
  const wide = role && typeface ? textWidth(typeface, text, role.height, role.widthFactor) : 0;
  const under = content.role === undefined ? 0 : letters * (1 + OVER_WORDS);
  const words = { text: role && typeface ? text : '', x: (width - wide) / 2, y: 0, width: wide };
  return { text, bars, words, width, height: bars + under };
}

/** A bar code stands at its exact width and height. */
export const barCodes: BoxKind<BarCode, BarCodeLayout> = {
  extent: (content, by) => {
    const { width, height } = measured(content, by);
    return { width, height };
  },
  lay: (content, room) => {
    const { cell, inner, setting } = room;
    const { text, bars, words, ...extent } = measured(content, room);
    const at = within(inner, extent, content);
    const steps = text === '' || !isSayable(text) ? [] : stepsOf(text);
    return {
      placed: {
        cell: cell.id,
        content,
        ...at,
        steps,
        bars,
        words: { ...words, x: at.x + words.x, y: at.y + words.y },
      },
      findings: [
        ...tooLarge(
          extent,
          inner,
          room,
          content.id,
          'the bar code',
          (by) => `make it smaller, or the cell ${by} larger`,
        ),
        ...missingValues(content.id, 'the bar code', fillPattern(content.pattern, setting.values), room),
        ...unknownRoles(content.role === undefined ? [] : [content.role], room, content.id, 'the bar code'),
        ...unreadable(content, text, steps.length, extent.width, room),
      ],
    };
  },
  inOverlaps: () => 'the bar code',
};

/** What is said of a bar code that cannot say its words, or that no reader reads. */
function unreadable(content: BarCode, text: string, count: number, width: number, { cell, unit }: Room): Finding[] {
  const found = (message: string, mend: string): Finding[] => [
    {
      kind: 'room',
      weight: 'error',
      message,
      where: { cell: cell.id, content: content.id },
      rule: 'common practice',
      mend,
    },
  ];
  if (!SAYABLE.test(text))
    return found('the bar code has only plain letters, figures and signs', 'let a QR code say it');
  if (!isSayable(text))
    return found(`the bar code holds ${text.length} signs; it may hold ${MOST_SIGNS}`, 'let it say less');
  if (count === 0 || width / count >= LEAST_STEP) return [];
  const needed = Math.ceil(count * LEAST_STEP * 10) / 10;
  return found(
    `the bars of the bar code are ${amountInWords(width / count, unit)} wide, too narrow to be read off a print`,
    `make it ${amountInWords(needed, unit)} wide, or let it say less`,
  );
}
