import type { WorkingUnit } from '../quantity';
import { colourOf } from '../compose';
import type { Drawing, Item } from '../drawing';
import type { Typefaces } from '../lettering';
import { formatLength, MM_PER } from '../quantity';
import type { LetteringRole, OfficeStandard } from '../standard';
import { LETTERING_TYPEFACE } from '../standard';
import { lettered, stroke } from './items';

/** Letters and figures that are told apart with most trouble come first: 0 O, 1 I l, 5 S, 8 B. */
const WORDS = ['0O 1Il 5S 8B A-101', 'Ground floor plan'] as const;

/**
 * Two lines of a role between its base lines and cap lines, with a ruler in the role's unit beside them: at true size
 * when it is drawn at one.
 */
export function letteringSpecimen(role: LetteringRole, standard: OfficeStandard, typefaces: Typefaces): Drawing {
  const { height, lineSpacing } = role;
  const [left, width] = [14, 180];
  const gap = height * lineSpacing;
  const foot = 4 + height * 0.4;
  const total = foot + gap + height + 4;
  const items: Item[] = [...ruler(total, role.unit, typefaces)];
  const ink = { typeface: role.typeface, height, widthFactor: role.widthFactor, ...colourOf(standard, role.pen) };
  WORDS.forEach((words, i) => {
    const y = foot + (1 - i) * gap;
    for (const at of [y, y + height]) items.push(stroke([left - 3, at, width, at], 0.05, { colour: '#9a6412' }));
    items.push(...lettered(role.capitals ? words.toUpperCase() : words, left, y, ink, typefaces));
  });
  return { width, height: total, items };
}

/** An upright ruler along the left edge: millimetres, or sixteenths of an inch. */
function ruler(length: number, unit: WorkingUnit, typefaces: Typefaces): Item[] {
  const step = unit === 'mm' ? 1 : MM_PER.in / 16;
  const [middle, whole] = unit === 'mm' ? [5, 10] : [8, 16];
  const items: Item[] = [stroke([9, 0, 9, length], 0.13)];
  for (let i = 0; i * step <= length; i++) {
    const long = i % whole === 0 ? 4 : i % middle === 0 ? 3 : 1.8;
    items.push(stroke([9, i * step, 9 - long, i * step], 0.13));
    if (i % whole === 0 && i > 0) {
      const words = formatLength(i * step, unit);
      items.push(
        ...lettered(words, 4.4, i * step - 0.9, { typeface: LETTERING_TYPEFACE, height: 1.8 }, typefaces, 'end'),
      );
    }
  }
  return items;
}
