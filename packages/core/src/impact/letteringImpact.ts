import type { SheetLayout } from '../layout';

/** What a change of the standard does to the texts of one solved sheet, those in its tables too. */
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

/** A text in a cell or in a table, where it stands on the sheet. */
interface SetText {
  height: number;
  /** Of its widest line. */
  width: number;
  x: number;
  y: number;
  lines: number;
  role: string;
  spills: boolean;
}

/** All texts of a sheet, those in tables too, by where they belong. */
function textsOf({ texts, placed }: SheetLayout): Map<string, SetText> {
  const all = new Map<string, SetText>();
  for (const { cell, content, height, width, x, y, lines, role, fit } of texts)
    all.set(`${cell} ${content}`, { height, width, x, y, lines: lines.length, role, spills: fit === 'spills' });
  for (const at of placed) {
    if (!('texts' in at)) continue;
    at.texts.forEach(({ lines, height, role, spills = false }, i) => {
      const [{ x, y } = at] = lines;
      const width = Math.max(0, ...lines.map((line) => line.width));
      all.set(`${at.cell} ${at.content.id} ${i}`, { height, width, x, y, lines: lines.length, role, spills });
    });
  }
  return all;
}

const differ = (a: SetText, b: SetText): boolean =>
  a.lines !== b.lines || (['height', 'width', 'x', 'y'] as const).some((key) => Math.abs(a[key] - b[key]) > LEAST_MOVE);

/**
 * Compares the texts of one sheet solved twice.
 * @param restyled whether a role is drawn differently though it takes the same room: another typeface, pen or colour
 */
export function textImpact(
  before: SheetLayout,
  after: SheetLayout,
  restyled: (role: string) => boolean = () => false,
): TextImpact {
  const was = textsOf(before);
  const now = textsOf(after);
  const impact: TextImpact = { texts: now.size, changed: 0, spills: 0, mended: 0 };
  for (const [key, text] of now) {
    const earlier = was.get(key);
    if (!earlier || differ(earlier, text) || restyled(text.role)) impact.changed++;
    if (text.spills && !earlier?.spills) impact.spills++;
    if (!text.spills && earlier?.spills) impact.mended++;
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
