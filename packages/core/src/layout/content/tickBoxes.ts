import type { Finding } from '../../check';
import type { TickBoxes } from '../../design';
import { cellLabel } from '../../design';
import { textWidth } from '../../lettering';
import { amountInWords } from '../../quantity';
import { parametersOf } from '../../standard';
import type { BoxKind, Measuring, PlacedBox, Room } from './kind';
import { missingInWords } from './missingLetters';
import { missingValue } from './missingValues';
import { tooLarge } from './tooLarge';
import { unknownRoles } from './unknownRoles';
import { within } from './within';

/** Distance of the words from their box as a part of its side, of rows as one of their height, and of the next box from the words before it as one of the letters' height. */
const BEFORE_WORDS = 0.5;
const BETWEEN_ROWS = 0.5;
const AFTER_WORDS = 1.5;

/** One box: its lower left corner and the start of its words' base line, in mm from those of the whole. */
export interface TickBox {
  x: number;
  y: number;
  ticked: boolean;
  words: { text: string; x: number; y: number; width: number };
}

/** Tick boxes where they came to stand; places are on paper, lengths in mm. */
export interface TickBoxesLayout extends PlacedBox<TickBoxes> {
  side: number;
  boxes: TickBox[];
}

const plain = (words: string): string => words.trim().toLowerCase();

/** Whether a value ticks a box: it is the box's, or names it among others, between commas. Capitals and blanks at ends do not count. */
const ticks = (value: string, box: string): boolean =>
  plain(value) === plain(box) || value.split(/[,;]/).some((each) => plain(each) === plain(box));

/** The boxes from 0, 0 upwards, and what all of them take up. */
function arranged(content: TickBoxes, { setting, length }: Measuring): Arranged {
  const side = length(content.side);
  const role = setting.standard.roles.find((each) => each.id === content.role);
  const typeface = role && setting.typefaces.get(role.typeface);
  const height = role?.height ?? side;
  const value = setting.values[content.parameter] ?? '';
  const widths = content.boxes.map(({ words }) =>
    role && typeface ? textWidth(typeface, words, role.height, role.widthFactor) : 0,
  );
  const line = Math.max(side, height);
  const wordsAt = side * (1 + BEFORE_WORDS);
  const below = content.arrangement === 'below';
  const rows = below ? content.boxes.length : 1;
  const wanted = content.step === undefined ? undefined : length(content.step);
  const step = wanted ?? line * (1 + BETWEEN_ROWS);
  let along = 0;
  const boxes = content.boxes.map(({ value: own, words: text }, i): TickBox => {
    const x = below ? 0 : along;
    const bottom = (rows - 1 - (below ? i : 0)) * step;
    along += wanted ?? wordsAt + (widths[i] ?? 0) + AFTER_WORDS * height;
    return {
      x,
      y: bottom + (line - side) / 2,
      ticked: value !== '' && ticks(value, own),
      words: { text, x: x + wordsAt, y: bottom + (line - height) / 2, width: widths[i] ?? 0 },
    };
  });
  const ends = boxes.map(({ x, words }) => (words.text === '' ? x + side : words.x + words.width));
  const needed = below ? line : Math.max(0, ...widths.slice(0, -1).map((width) => wordsAt + width));
  const tight = wanted === undefined || boxes.length < 2 ? 0 : needed - wanted;
  return { side, boxes, tight, width: Math.max(...ends), height: (rows - 1) * step + line };
}

interface Arranged {
  width: number;
  height: number;
  side: number;
  boxes: TickBox[];
  /** By how much their step brings them into each other, in mm; 0 or less where it does not. */
  tight: number;
}

/** Tick boxes stand at their exact size; which of them is ticked comes from the parameter. */
export const tickBoxes: BoxKind<TickBoxes, TickBoxesLayout> = {
  extent: (content, by) => {
    const { width, height } = arranged(content, by);
    return { width, height };
  },
  lay: (content, room) => {
    const { cell, inner } = room;
    const { side, boxes, tight, ...extent } = arranged(content, room);
    const at = within(inner, extent, content);
    return {
      placed: {
        cell: cell.id,
        content,
        ...at,
        side,
        boxes: boxes.map((box) => ({
          ...box,
          x: at.x + box.x,
          y: at.y + box.y,
          words: { ...box.words, x: at.x + box.words.x, y: at.y + box.words.y },
        })),
      },
      findings: [
        ...valueFindings(content, boxes, room),
        ...closeFindings(content, tight, room),
        ...unknownRoles([content.role], room, content.id, 'the tick boxes'),
        ...missingInWords(content.boxes.map(({ words }) => words).join(' '), content.role, content.id, room),
        ...tooLarge(
          extent,
          inner,
          room,
          content.id,
          'the block of tick boxes',
          (by) => `make the cell ${by} larger, or the boxes smaller`,
        ),
      ],
    };
  },
  inOverlaps: () => 'the tick boxes',
};

/** Words that run into the box after them, or rows that lie on each other, because the step is too small. */
function closeFindings({ id }: TickBoxes, tight: number, { cell, unit }: Room): Finding[] {
  if (tight <= 0.01) return [];
  const by = amountInWords(tight, unit);
  return [
    {
      kind: 'overlap',
      weight: 'error',
      message: `the tick boxes run into each other by ${by} in ${cellLabel(cell)}`,
      where: { cell: cell.id, content: id },
      by: tight,
      mend: `make their step ${by} larger, or leave it empty`,
    },
  ];
}

/** What is wrong with the value that ticks a box: there is none, it is that of no box, or nobody can enter it. */
function valueFindings(
  { id, parameter: key }: TickBoxes,
  boxes: readonly TickBox[],
  { cell, setting }: Room,
): Finding[] {
  const where = { cell: cell.id, content: id, parameter: key };
  const parameter = parametersOf(setting.standard).get(key);
  if (!parameter)
    return [
      {
        kind: 'unknown',
        weight: 'error',
        message: `the tick boxes ask for {${key}}, and there is no such parameter`,
        where,
        mend: 'choose another parameter for the boxes, or add this one to the office standard',
      },
    ];
  const value = setting.values[key] ?? '';
  if (value === '') {
    if (parameter.computed) return [];
    return [missingValue(parameter, where, `${parameter.name} is missing, so no box is ticked`)];
  }
  // A tick that is not set needs no box of its own.
  if (boxes.some(({ ticked }) => ticked) || parameter.kind === 'tick') return [];
  return [
    {
      kind: 'unknown',
      weight: 'gap',
      message: `${parameter.name} is “${value}”, which is none of the tick boxes`,
      where,
      mend: 'add a box with this value, or choose another value',
    },
  ];
}
