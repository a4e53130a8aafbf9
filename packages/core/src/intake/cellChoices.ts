import type { TickBoxes } from '../design';
import { MOST_TICK_BOXES } from '../design';
import { around } from '../geometry';
import { DEFAULT_PADDING } from '../layout';
import type { LetteringRole } from '../standard';
import type { FoundCell } from './builtDesign';
import { inTenths, shiftFrom } from './cellShift';
import type { ReadText } from './readText';

/** Steps between boxes that differ by less, in mm, are one. */
const SAME_STEP = 0.6;
/** Room that words behind a box need, for a letter as a part of their height, and before them as one of the box's side. */
const WORDS = { letter: 0.7, before: 1.5 } as const;

/** The distance from box to box, where it is the same between all of them and leaves room for their words. */
function stepOf(all: readonly ReadText[], beside: boolean, side: number, height: number): number | undefined {
  const at = all.flatMap(({ box }) => (box ? [beside ? box.x : -box.y] : []));
  const steps = at.slice(1).map((place, i) => place - (at[i] ?? 0));
  const [least, most] = [Math.min(...steps), Math.max(...steps)];
  const longest = Math.max(...all.slice(0, -1).map(({ text }) => text.text.length));
  const needed = beside ? WORDS.before * side + WORDS.letter * height * longest : Math.max(side, height);
  return steps.length > 0 && most - least < SAME_STEP && least >= needed ? (least + most) / 2 : undefined;
}

/**
 * Words beside boxes as one content whose boxes a parameter ticks.
 * @param pen that of the boxes
 */
export function tickBoxesOf(
  all: readonly ReadText[],
  { face }: FoundCell,
  { id, parameter, role, pen }: { id: string; parameter: string; role: LetteringRole; pen: string },
): TickBoxes {
  const boxes = all.flatMap(({ box }) => box ?? []);
  const sides = boxes.map(({ width, height }) => Math.max(width, height)).sort((a, b) => a - b);
  const side = sides[sides.length >> 1] ?? 0;
  const whole = around(boxes) ?? face;
  const beside = whole.width > whole.height;
  const step = stepOf(all, beside, side, role.height);
  // A box stands in the middle of its line, which is as high as its words where those are larger.
  const low = whole.y - Math.max(0, role.height - side) / 2;
  return {
    id,
    kind: 'ticks',
    horizontal: 'left',
    vertical: 'bottom',
    rotation: 0,
    ...shiftFrom(whole.x - face.x - DEFAULT_PADDING, low - face.y - DEFAULT_PADDING),
    parameter,
    boxes: all
      .slice(0, MOST_TICK_BOXES)
      .map(({ text }) => ({ value: text.text.slice(0, 100), words: text.text.slice(0, 200) })),
    arrangement: beside ? 'beside' : 'below',
    side: inTenths(side),
    ...(step === undefined ? {} : { step: inTenths(step) }),
    role: role.id,
    pen,
  };
}
