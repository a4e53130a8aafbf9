import type { TextItem } from '../drawing';
import type { Point } from '../geometry';

/** A text of the legacy drawing in mm on paper. */
export interface LegacyText {
  /** Which text of the drawing it is, counted among all that was read; the same each time the drawing is read. */
  id: number;
  text: string;
  /** Start of the base line. */
  at: Point;
  /** A point inside the text, at the end that it is aligned by: what decides which cell it is in. */
  anchor: Point;
  height: number;
  /** 0, 90, 180 or 270. */
  rotation: 0 | 90 | 180 | 270;
  align: 'left' | 'centre' | 'right';
  layer: string;
  tag?: string;
}

/** Texts turned by anything else than a quarter turn are no lettering of a title block. */
const TURN_TOLERANCE = 1;

/** Where the first or the last letter of a text has its middle, in heights from where the text begins or ends. */
const FIRST_LETTER = { along: 0.3, up: 0.4 } as const;

/** Brings a text item in mm into the form that recognition works with; undefined for empty and for slanting texts. */
export function legacyText(item: TextItem, id: number): LegacyText | undefined {
  const text = item.text.trim();
  const quarter = Math.round(item.rotation / 90);
  if (text === '' || Math.abs(item.rotation - quarter * 90) > TURN_TOLERANCE) return undefined;
  const rotation = (((quarter % 4) + 4) % 4) * 90;
  const turn = (rotation * Math.PI) / 180;
  const align = item.align ?? 'left';
  const inward = FIRST_LETTER.along * item.height;
  const along = { left: inward, centre: item.width / 2, right: item.width - inward }[align];
  const up = FIRST_LETTER.up * item.height;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return {
    id,
    text,
    at: item.at,
    anchor: { x: item.at.x + along * c - up * s, y: item.at.y + along * s + up * c },
    height: item.height,
    rotation: rotation as LegacyText['rotation'],
    align,
    layer: item.layer,
    ...(item.field ? { tag: item.field.tag } : {}),
  };
}
