import type { LegacyText } from './legacyText';

/** What a text in a cell was taken for. */
export interface ReadText {
  text: LegacyText;
  kind: 'caption' | 'field' | 'note';
  parameter?: string;
  /** What the field prints where that is more than the value of its parameter. */
  pattern?: string;
  /** 0 to 1. */
  confidence: number;
  why: string;
}

/** The reason given for what a person decided. */
export const SET_BY_HAND = 'set by hand';
