/** Where a sheet is folded, in mm from its left edge and from its foot. */
export interface Folds {
  x: number[];
  y: number[];
}

/** A4, to which sheets are folded. */
const A4 = { width: 210, height: 297 };
/** A folded sheet shows its title block: the last panel is 20 mm narrower than A4, the width of the filing margin. */
export const FILING_MARGIN = 20;
const LAST_PANEL = A4.width - FILING_MARGIN;
/** Two equal panels take up what is left after the others; wider than this they would stand out over A4. */
const WIDEST_HALF = 195;

/**
 * Widths of the panels that a sheet is folded into, from the left. DIN 824 form A (from memory): the first is A4, so that
 * it can be filed, the last ones are 190 mm, and two equal ones in between take up the rest. A sheet that is too narrow
 * for that ends in a panel of 190 mm, and two that differ by the filing margin take up the rest.
 */
export function foldPanels(width: number): number[] {
  if (width <= A4.width + 1e-6) return [width];
  const rest = width - A4.width;
  if (rest < 2 * LAST_PANEL * 0.75) {
    const left = width - LAST_PANEL;
    // Too little for two panels and a filing margin: one fold.
    if (left < 2 * FILING_MARGIN + LAST_PANEL / 2) return [left, LAST_PANEL];
    return [(left + FILING_MARGIN) / 2, (left - FILING_MARGIN) / 2, LAST_PANEL];
  }
  const whole = Math.max(0, Math.ceil((rest - 2 * WIDEST_HALF) / LAST_PANEL));
  const half = (rest - whole * LAST_PANEL) / 2;
  return [A4.width, half, half, ...Array.from({ length: whole }, () => LAST_PANEL)];
}

/** Heights of the panels from the foot: A4 as often as it goes, the rest at the head. */
export function foldHeights(height: number): number[] {
  const whole = Math.floor((height + 1e-6) / A4.height);
  const rest = height - whole * A4.height;
  return [...Array.from({ length: whole }, () => A4.height), ...(rest > 1e-6 ? [rest] : [])];
}

/** The fold lines of a sheet; none where it is no larger than A4. */
export function foldsOf(sheet: { width: number; height: number }): Folds {
  const limits = (parts: readonly number[]): number[] => {
    let at = 0;
    return parts.slice(0, -1).map((part) => (at += part));
  };
  return { x: limits(foldPanels(sheet.width)), y: limits(foldHeights(sheet.height)) };
}
