import type { Finding } from '../../check';
import type { TableColumn, TableContent } from '../../design';
import type { FittedText, FitPolicy } from '../../lettering';
import { fitText, linesHeight, textWidth } from '../../lettering';
import { fillPattern } from '../../parameter';
import { amountInWords } from '../../quantity';
import type { LetteringRole } from '../../standard';
import { nextSmaller, roleOf } from '../../standard';
import type { Row } from '../../table';
import { tableKindOf, valueIn } from '../../table';
import { descenders } from './descenders';
import type { Room, TextSetting } from './kind';
import { missingLetters } from './missingLetters';
import type { TableLayout, TableRowLayout, TableTextLayout } from './tableLayout';

/** Room between a column's lines and its texts, in mm. */
export const SIDE = 1;
/** Room over and under the texts of a row that is as high as they need, in mm. */
const OVER = 1;
const USUAL_FIT: FitPolicy = { lines: 2, condense: 0.75, steps: 1 };
/** Lines that a text may have in a row that grows. */
const GROWN_LINES = 20;

/** What the texts of a table are set with. */
export interface TableSetting {
  content: TableContent;
  setting: TextSetting;
  widths: readonly number[];
  /** Least height of a row. */
  rowHeight: number;
  /** How lettering of rows is scaled down to get more rows in. */
  steps: number;
  /** How many rows the tables before it have shown. */
  start: number;
}

const lowered = (role: LetteringRole, steps: number, heights: readonly number[]): LetteringRole => {
  let { height } = role;
  for (let step = 0; step < steps; step++) height = nextSmaller(height, heights) ?? height;
  return height === role.height ? role : { ...role, height };
};

function fitted(
  text: string,
  roleId: string,
  column: number | 'all',
  room: { width: number; height: number },
  { content, setting, steps }: TableSetting,
): { role: LetteringRole; fit: FittedText } | undefined {
  const role = roleOf(setting.standard, roleId);
  const typeface = role && setting.typefaces.get(role.typeface);
  if (!role || !typeface) return undefined;
  const grows = content.growing && column !== 'all';
  const policy = grows ? { ...(content.fit ?? USUAL_FIT), lines: GROWN_LINES } : (content.fit ?? USUAL_FIT);
  const own = lowered(role, steps, setting.standard.heights);
  // Lines of a text stand in the middle of their row, with room under the last for descenders; a single line needs none of its own.
  const clear = 2 * descenders({ role: own, typeface }, own.height);
  const height = Math.max(room.height - clear, Math.min(room.height, own.height));
  return {
    role: own,
    fit: fitText(
      text,
      own,
      typeface,
      { ...room, height },
      policy,
      setting.standard.heights,
      setting.standard.keptTogether,
    ),
  };
}

/** The role that a column's rows are set in. */
export const roleOfColumn = (content: TableContent, column: TableColumn): string => column.role ?? content.valueRole;

/** What a row shows in each column. */
export const wordsOf = (content: TableContent, row: Row, { values, standard }: TextSetting): string[] => {
  const valueOf = valueIn(row, values, standard.wording.dates, tableKindOf(content.table).source === 'register');
  return content.columns.map(({ shows }) => fillPattern(shows, valueOf).text);
};

/** Height of a row for its texts, in mm: the least, or what they need where rows grow. */
export function heightOf(words: readonly string[], of: TableSetting): number {
  const { content, widths, rowHeight } = of;
  if (!content.growing) return rowHeight;
  return words.reduce((most, text, i) => {
    if (text === '') return most;
    const room = { width: (widths[i] ?? 0) - 2 * SIDE, height: Infinity };
    const set = fitted(text, roleOfColumn(content, content.columns[i]!), i, room, of);
    if (!set) return most;
    return Math.max(most, linesHeight(set.fit.lines.length, set.fit.height, set.role.lineSpacing) + 2 * OVER);
  }, rowHeight);
}

/** What of the lettering's height is left after one step down or more; undefined where it cannot be stepped down so far. */
export function stepScale(content: TableContent, { standard }: TextSetting, steps: number): number | undefined {
  const role = roleOf(standard, content.valueRole);
  if (!role) return undefined;
  const [before, now] = [lowered(role, steps - 1, standard.heights), lowered(role, steps, standard.heights)];
  return now.height < before.height && now.height >= standard.leastHeight ? now.height / role.height : undefined;
}

/** A cell of a row without data. */
interface Blank {
  column: TableColumn;
  c: number;
  row: number;
  block: number;
  y: number;
  height: number;
  role: LetteringRole;
}

/** The place of data that is not there yet. */
export function blankText(at: TableLayout, { column, c, row, block, y, height, role }: Blank): TableTextLayout {
  const horizontal = column.horizontal ?? 'left';
  const left = columnStart(at, block, c);
  const width = at.columns[c] ?? 0;
  const x = horizontal === 'left' ? left + SIDE : horizontal === 'right' ? left + width - SIDE : left + width / 2;
  return {
    lines: [{ text: '', x, y: y + (height - role.height) / 2, width: 0 }],
    height: role.height,
    widthFactor: role.widthFactor,
    role: role.id,
    horizontal,
    data: { row, column: c },
  };
}

const columnStart = (at: TableLayout, block: number, column: number): number =>
  at.x + block * at.blockWidth + at.columns.slice(0, column).reduce((sum, each) => sum + each, 0);

/** Sets a text into a cell of a table, in the middle of its height. */
export function writeText(
  at: TableLayout,
  of: TableSetting,
  text: string,
  roleId: string,
  column: number | 'all',
  row: TableRowLayout,
  findings: Finding[],
  room: Room,
  data?: TableTextLayout['data'],
): void {
  if (text === '' && !data) return;
  const { content } = of;
  const whole = row.kind === 'title' ? at.width : at.blockWidth;
  const width = (column === 'all' ? whole : (at.columns[column] ?? 0)) - 2 * SIDE;
  if (width <= 0) return;
  const set = fitted(
    text,
    roleId,
    column,
    { width, height: row.height },
    row.kind === 'title' || row.kind === 'heading' ? { ...of, steps: 0 } : of,
  );
  if (!set) return;
  const { role, fit } = set;
  const typeface = of.setting.typefaces.get(role.typeface)!;
  const horizontal = column === 'all' ? 'left' : (content.columns[column]?.horizontal ?? 'left');
  const left = (column === 'all' ? at.x + row.block * at.blockWidth : columnStart(at, row.block, column)) + SIDE;
  const tall = linesHeight(fit.lines.length, fit.height, role.lineSpacing);
  const top = row.y + (row.height + tall) / 2;
  const lines = fit.lines.map((line, i) => {
    const natural = textWidth(typeface, line, fit.height, fit.widthFactor);
    const along = horizontal === 'left' ? 0 : horizontal === 'right' ? width - natural : (width - natural) / 2;
    return { text: line, x: left + along, y: top - fit.height - i * fit.height * role.lineSpacing, width: natural };
  });
  at.texts.push({
    lines,
    height: fit.height,
    widthFactor: fit.widthFactor,
    role: role.id,
    horizontal,
    ...(fit.fit === 'spills' ? { spills: true as const } : {}),
    ...(data ? { data } : {}),
  });
  findings.push(...missingLetters(text, role, typeface, { cell: room.cell.id, content: content.id }));
  if (fit.fit !== 'spills') return;
  const { unit } = room;
  findings.push({
    kind: 'spill',
    weight: 'error',
    message: `“${text.length > 40 ? `${text.slice(0, 38)}…` : text}” spills out of its column in ${tableKindOf(content.table).inWords} by ${amountInWords(fit.by, unit)}`,
    where: { cell: room.cell.id, content: content.id },
    by: fit.by,
    mend: 'make the column wider or the rows higher, or let rows be as high as their texts',
  });
}
