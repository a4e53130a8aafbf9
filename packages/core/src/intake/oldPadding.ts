import { DEFAULT_PADDING } from '../layout';
import type { WorkingUnit } from '../quantity';
import { MM_PER } from '../quantity';
import type { FoundCell } from './builtDesign';
import { BELOW } from './textGroups';
import { LETTER_WIDTH, placeInCell } from './textPlaces';

/** Room that a line of text takes, in heights of its letters. */
const LINE_ROOM = 1.6;

/** Steps to a millimetre in which the padding of a tight row is written. */
const TIGHT = 10;
/** Padding is written in whole steps, in mm; what differs less from the usual one is the usual one. */
const PADDING = { mm: 0.5, in: MM_PER.in / 32, least: 0.4, most: 6, asUsual: 0.3 } as const;

/**
 * How far texts of a cell stood from its edges, as far as all of them can stand so; undefined where that is the usual padding, or
 * where a picture or boxes to tick stand in the cell.
 */
export function oldPadding({ face, texts, linework }: FoundCell, unit: WorkingUnit): number | undefined {
  const written = texts.filter((read) => read.text.text !== '');
  const [only] = written;
  if (!only || linework.length > 0 || texts.some((read) => read.kind === 'option')) return undefined;
  const spare = (placeInCell(only.text, face).height - (1 + BELOW) * only.text.height) / 2;
  // A line that was set as tight as its row allows.
  if (written.length === 1 && spare < DEFAULT_PADDING) return Math.max(0, Math.floor(spare * TIGHT) / TIGHT);
  const rooms = written.map(({ text }) => {
    const { along, up, height } = placeInCell(text, face);
    return {
      left: text.align === 'left' ? along : Infinity,
      above: height - up - text.height,
      below: up - BELOW * text.height,
    };
  });
  // Sideways texts keep their place; up and down they may be moved by a step.
  const room = Math.min(
    ...rooms.map(({ left }) => left),
    Math.min(...rooms.map(({ above }) => above)) + PADDING[unit],
    Math.min(...rooms.map(({ below }) => below)) + PADDING[unit],
  );
  const padding = Math.round(room / PADDING[unit]) * PADDING[unit];
  // Letters of the standard may be larger than the old ones were: they need room too.
  const lines = written.reduce((sum, { text }) => sum + LINE_ROOM * text.height, 0);
  const long = Math.max(...written.map(({ text }) => text.text.length * LETTER_WIDTH * text.height));
  const fits = written.every(({ text }) => {
    const { width, height } = placeInCell(text, face);
    return lines + 2 * padding <= height && long + 2 * padding <= width;
  });
  const within = padding >= PADDING.least && padding <= PADDING.most && fits;
  return within && Math.abs(padding - DEFAULT_PADDING) > PADDING.asUsual ? padding : undefined;
}
