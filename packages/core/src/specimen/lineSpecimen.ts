import { inkOf } from '../compose';
import type { Drawing, Item } from '../drawing';
import type { Typefaces } from '../lettering';
import { formatLength } from '../quantity';
import type { LinePattern, OfficeStandard, Pen } from '../standard';
import { dashesOf, LETTERING_TYPEFACE } from '../standard';
import { lettered, stroke } from './items';

const SPECIMEN_WORDS = ['0O 1Il 5S 8B  Ground floor plan', '0O 1Il 5S 8B', '0O 1Il', '0O'];

/** One line in a pen and a pattern, at true size. */
export function lineSpecimen(pen: Pen, pattern: LinePattern | undefined, length = 90): Drawing {
  const dashes = dashesOf(pattern, pen.width);
  const more = {
    ...(pen.colour === '#000000' ? {} : { colour: pen.colour }),
    ...(dashes.length > 0 ? { dashes } : {}),
  };
  return { width: length, height: 6, items: [stroke([1, 3, length - 1, 3], pen.width, more)] };
}

/**
 * A sheet of A4 with every pen in every pattern and every lettering role, to be printed at true size and measured: what
 * a drawing of the office is made of, on one page.
 */
export function specimenSheet(standard: OfficeStandard, office: string, typefaces: Typefaces): Drawing {
  const [width, height, left, right] = [210, 297, 20, 200];
  const small = { typeface: LETTERING_TYPEFACE, height: 2 };
  const heading = { typeface: LETTERING_TYPEFACE, height: 3.5 };
  const items: Item[] = [];
  let y = height - 18;
  const write = (text: string, x: number, setting = small): void => {
    items.push(...lettered(text, x, y, setting, typefaces));
  };
  write(office === '' ? 'Lines and lettering' : `${office}: lines and lettering`, left, { ...heading, height: 5 });
  y -= 12;
  // The patterns share what the pens' names leave of the line; each column is wide enough to show its rhythm.
  const patterns = standard.patterns.slice(0, 5);
  const first = left + 34;
  const column = (right - first) / Math.max(1, patterns.length);
  patterns.forEach((pattern, i) => write(pattern.name, first + i * column));
  for (const pen of standard.pens.slice(0, 20)) {
    y -= 6;
    write(`${pen.name}  ${formatLength(pen.width, 'mm', true)}`, left);
    patterns.forEach((pattern, i) => {
      const x = first + i * column;
      const dashes = dashesOf(pattern, pen.width);
      const more = dashes.length > 0 ? { dashes } : {};
      items.push(stroke([x, y + 1, x + column - 4, y + 1], pen.width, { ...inkColour(standard, pen.id), ...more }));
    });
  }
  y -= 12;
  for (const role of standard.roles) {
    y -= Math.max(5, role.height * 1.5);
    if (y < 20) break;
    write(`${role.name}  ${formatLength(role.height, role.unit, true)}`, left);
    const setting = { typeface: role.typeface, height: role.height };
    // As much of the words as goes onto the line.
    const fitting = SPECIMEN_WORDS.map((words) => lettered(words, first + 8, y, setting, typefaces)).find(
      ([text]) => text !== undefined && text.at.x + text.width <= right,
    );
    items.push(...(fitting ?? []));
  }
  y = 12;
  items.push(stroke([left, y, left + 100, y], 0.18), stroke([left, y - 1.5, left, y + 1.5], 0.18));
  items.push(stroke([left + 100, y - 1.5, left + 100, y + 1.5], 0.18));
  write('100 mm: measure this line to know that the print is at true size', left + 104);
  return { width, height, items };
}

function inkColour(standard: OfficeStandard, pen: string): { colour?: string } {
  const { colour } = inkOf(standard, pen);
  return colour === undefined ? {} : { colour };
}
