import type { LegacyText } from './legacyText';
import type { OptionBox } from './options';

/** What a text in a cell was taken for. */
export interface ReadText {
  text: LegacyText;
  /** An option is one of several words beside boxes, of which the value of a parameter ticks one. */
  kind: 'caption' | 'field' | 'note' | 'option';
  parameter?: string;
  /** What the field prints where that is more than the value of its parameter. */
  pattern?: string;
  /** Of an option, the box that it stands beside. */
  box?: OptionBox;
  /** 0 to 1. */
  confidence: number;
  why: string;
}

/** The reason given for what a person decided. */
export const SET_BY_HAND = 'set by hand';

/** Whether two texts are options of one choice that stand in one row or one column. */
export const isSameChoice = (a: ReadText, b: ReadText): boolean =>
  a.kind === 'option' && b.kind === 'option' && a.parameter === b.parameter && a.box?.row === b.box?.row;
