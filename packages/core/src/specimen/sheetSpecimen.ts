import { composeSheet } from '../compose';
import type { Design } from '../design';
import { DESIGN_VERSION } from '../design';
import type { Drawing } from '../drawing';
import { rectPoints } from '../drawing';
import { solveDesign } from '../layout';
import type { Typefaces } from '../lettering';
import type { OfficeStandard, SheetSize } from '../standard';
import { LETTERING_TYPEFACE } from '../standard';
import { lettered, outline } from './items';

/** A design without a panel: nothing but the frame, the zones and the marks that the rule of a size asks for. */
const bareSheet = (size: SheetSize, pen: string): Design => ({
  format: 'mendrel-design',
  version: DESIGN_VERSION,
  name: 'Frame',
  unit: 'mm',
  sizes: [{ size: size.name, orientation: size.width >= size.height ? 'landscape' : 'portrait' }],
  dimensions: [],
  frame: {
    margins: 'standard',
    pen,
    trimLine: false,
    zones: 'standard',
    centringMarks: 'standard',
    trimmingMarks: 'standard',
    foldMarks: 'standard',
  },
  panels: [],
  modules: { columns: 1, rows: 1 },
});

/**
 * An empty sheet of a size by its frame rule.
 * @throws LayoutError when the margins leave no room
 */
export function frameSpecimen(size: SheetSize, pen: string, standard: OfficeStandard, typefaces: Typefaces): Drawing {
  const design = bareSheet(size, pen);
  const layout = solveDesign(design, { size: size.name, values: {}, standard, typefaces });
  return composeSheet(design, layout, { standard, typefaces });
}

/**
 * Sizes as outlines over each other from one corner, the largest first, each with its name in its upper right corner.
 * The drawing has a little room around them for the width of the lines.
 */
export function sizeOutlines(sizes: readonly SheetSize[], chosen: string | undefined, typefaces: Typefaces): Drawing {
  const sorted = [...sizes].sort((a, b) => b.width * b.height - a.width * a.height);
  const [width, height] = [Math.max(...sizes.map((s) => s.width), 1), Math.max(...sizes.map((s) => s.height), 1)];
  // Names are as large as the largest sheet allows, and never larger than the sheet they name.
  const room = Math.max(width, height) / 55;
  const edge = room / 5;
  const taken: { x: number; y: number }[] = [];
  /** Whether a name that ends at x with its base line at y runs into another name or into the upper edge of a sheet. */
  const isTaken = (x: number, y: number, letter: number): boolean =>
    taken.some((each) => Math.abs(each.x - x) < room * 7 && Math.abs(each.y - y) < room * 1.3) ||
    sorted.some(
      (size) => size.width > x - letter * 7 && size.height > y - letter * 0.3 && size.height < y + letter * 1.2,
    );
  /** The place of a name: under the upper right corner, or lower where something else is drawn already. */
  const placeOf = (x: number, from: number, letter: number): number => {
    let y = from;
    while (y > letter && isTaken(x, y, letter)) y -= letter * 0.7;
    taken.push({ x, y });
    return y;
  };
  return {
    width: width + 2 * edge,
    height: height + 2 * edge,
    items: sorted.flatMap((size) => {
      const marked = size.name === chosen;
      const rect = { x: edge, y: edge, width: size.width, height: size.height };
      const letter = Math.min(room, size.width / 6);
      return [
        { ...outline(rectPoints(rect), marked ? edge : room / 14), ...(marked ? { colour: '#0f6f67' } : {}) },
        ...lettered(
          size.name,
          edge + size.width - letter * 0.5,
          edge + placeOf(size.width, size.height - letter * 1.5, letter),
          { typeface: LETTERING_TYPEFACE, height: letter, ...(marked ? { colour: '#0f6f67' } : {}) },
          typefaces,
          'end',
        ),
      ];
    }),
  };
}
