import type { SheetLayout, TextLayout } from '../layout';

/** What a change of the standard does to the texts of one solved sheet. */
export interface TextImpact {
  /** Texts there are. */
  texts: number;
  /** Texts that look different: another height, width, place or line break. */
  changed: number;
  /** Texts that spill where they did not before, and those that no longer do. */
  spills: number;
  mended: number;
}

const LEAST_MOVE = 0.01;

const differ = (a: TextLayout, b: TextLayout): boolean =>
  Math.abs(a.height - b.height) > LEAST_MOVE ||
  Math.abs(a.width - b.width) > LEAST_MOVE ||
  Math.abs(a.x - b.x) > LEAST_MOVE ||
  Math.abs(a.y - b.y) > LEAST_MOVE ||
  a.lines.length !== b.lines.length;

/**
 * Compares the texts of one sheet solved twice.
 * @param restyled whether a role is drawn differently though it takes the same room: another typeface, pen or colour
 */
export function textImpact(
  before: SheetLayout,
  after: SheetLayout,
  restyled: (role: string) => boolean = () => false,
): TextImpact {
  const was = new Map(before.texts.map((text) => [`${text.cell} ${text.content}`, text]));
  const impact: TextImpact = { texts: after.texts.length, changed: 0, spills: 0, mended: 0 };
  for (const text of after.texts) {
    const earlier = was.get(`${text.cell} ${text.content}`);
    if (!earlier || differ(earlier, text) || restyled(text.role)) impact.changed++;
    if (text.fit === 'spills' && earlier?.fit !== 'spills') impact.spills++;
    if (text.fit !== 'spills' && earlier?.fit === 'spills') impact.mended++;
  }
  return impact;
}

/** The impact on several sheets together. */
export function addImpacts(impacts: readonly TextImpact[]): TextImpact {
  const sum: TextImpact = { texts: 0, changed: 0, spills: 0, mended: 0 };
  for (const each of impacts) {
    sum.texts += each.texts;
    sum.changed += each.changed;
    sum.spills += each.spills;
    sum.mended += each.mended;
  }
  return sum;
}
