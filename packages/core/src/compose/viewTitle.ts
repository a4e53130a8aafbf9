import type { Item, TextItem } from '../drawing';
import type { Typefaces } from '../lettering';
import { textWidth } from '../lettering';
import { fillPattern } from '../parameter';
import type { PlacedView } from '../placement';
import type { WorkingUnit } from '../quantity';
import type { LetteringRole, OfficeStandard, ViewKey } from '../standard';
import { penFor, roleFor, TITLE_GAP as GAP, TITLE_LEADING as LEADING, viewTitleOf } from '../standard';
import { inkOf, layerName } from './layers';
import { roleText } from './roleText';

/** What titles of views are drawn with. */
export interface TitledOn {
  standard: OfficeStandard;
  typefaces: Typefaces;
  /** Of the design, whose roles are taken first. */
  unit: WorkingUnit;
  /** The number of the sheet. */
  sheet: string;
}

/** The least length of the title's line, and room around the number in its ring, in mm. */
const LEAST_LINE = 60;
const RING_ROOM = 1;

interface Line {
  role: LetteringRole;
  text: string;
  width: number;
  /** Of its base line. */
  y: number;
}

/** The title of a placed view as the office has it: under what it shows, or between its corners while it shows nothing. */
export function titleItems(placed: PlacedView, { standard, typefaces, unit, sheet }: TitledOn): Item[] {
  const title = viewTitleOf(standard);
  const { x, y, width, view } = placed;
  const values: Record<ViewKey, string> = {
    'view.number': placed.number,
    'view.name': view.name,
    'view.scale': view.scale ?? standard.wording.notToScale,
    'sheet.number': sheet,
  };
  const layer = layerName(standard, 'views');
  const ink = inkOf(standard, penFor(standard, 'fine').id);
  const textAt = ({ role, ...line }: Line, at: number): TextItem =>
    roleText({ ...line, x: at }, role, { layer, part: 'view' }, standard);
  const lineOf = (words: string, role: LetteringRole, at: number): Line | undefined => {
    const typeface = typefaces.get(role.typeface);
    const text = role.capitals ? words.toUpperCase() : words;
    return typeface && text !== ''
      ? { role, text, width: textWidth(typeface, text, role.height, role.widthFactor), y: at }
      : undefined;
  };
  const roles = title.lines.map(({ use }) => roleFor(standard, use, unit));
  if (!view.drawing) {
    // Its title stands on its lower edge, between the corners that stand for it.
    const [role] = roles;
    const words = title.lines.map(({ pattern }) => fillPattern(pattern, values).text).join('  ');
    const line = role && lineOf(words, role, y - role.height / 2);
    return line ? [textAt(line, x + Math.min(8, width / 3) + 2)] : [];
  }
  const lines: Line[] = [];
  let base = y - GAP;
  let between: number | undefined;
  title.lines.forEach(({ pattern }, i) => {
    const role = roles[i]!;
    base -= (1 + LEADING) * role.height;
    const line = lineOf(fillPattern(pattern, values).text, role, base);
    if (line) lines.push(line);
    if (i === 0 && title.line === 'between') between = base -= LEADING * role.height;
  });
  const items: Item[] = [];
  const last = roles.at(-1)!;
  const bottom = base - LEADING * last.height;
  const start = title.ring ? ring(items) : x;
  items.push(...lines.map((line) => textAt(line, title.ring ? start + RING_ROOM : start)));
  const rule = { over: y - GAP, between, under: bottom, none: undefined }[title.line];
  if (rule !== undefined) {
    const long = Math.max(LEAST_LINE, ...lines.map((line) => line.width));
    const end = Math.max(start, x + Math.min(width, start - x + long));
    items.push({ kind: 'stroke', points: [start, rule, end, rule], closed: false, ...ink, layer, part: 'view' });
  }
  return items;

  /** Draws the number in its ring. @returns where the texts beside it begin */
  function ring(into: Item[]): number {
    const number = lineOf(placed.number, roles[0]!, 0);
    const radius = Math.max((y - GAP - bottom) / 2, number ? number.width / 2 + RING_ROOM : 0);
    const centre = { x: x + radius, y: y - GAP - radius };
    into.push({ kind: 'arc', centre, radius, from: 0, to: 360, width: ink.width, layer, part: 'view' });
    if (number) into.push(textAt({ ...number, y: centre.y - number.role.height / 2 }, centre.x - number.width / 2));
    return x + 2 * radius;
  }
}
