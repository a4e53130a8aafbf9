import type { Finding } from '../../check';
import type { OtherLanguages, TableContent } from '../../design';
import { inChosenLanguages } from '../../design';
import { counted } from '../../quantity';
import { roleOf } from '../../standard';
import type { Row } from '../../table';
import { tableKindOf } from '../../table';
import type { Room } from './kind';
import type { TableLayout, TableRowLayout } from './tableLayout';
import { headed, titled } from './tableLayout';
import type { TableSetting } from './tableTexts';
import { blankText, heightOf, roleOfColumn, stepScale, wordsOf, writeText } from './tableTexts';

/** The rows that a table shows, and how many it has no room for. */
interface Shown {
  rows: readonly Row[];
  from: number;
  /** How many are left out. */
  hidden: number;
}

/** Chooses rows for a room of some rows; one of them says how many there are more, where that is wanted. */
function chosen(all: readonly Row[], room: number, more: TableContent['more']): Shown {
  const kept = more === 'first' || more === 'last' ? Math.max(0, room - 1) : room;
  const from = more === 'last' ? all.length - kept : 0;
  return { rows: all.slice(from, from + kept), from, hidden: all.length - kept };
}

/** How many rows go into blocks of a height, in order, when each has its own height. */
function capacity(heights: readonly number[], room: number, blocks: number): number {
  let [block, left] = [0, room];
  for (let i = 0; i < heights.length; i++) {
    const height = heights[i]!;
    if (height > left + 0.01) {
      if (++block === blocks || height > room + 0.01) return i;
      left = room;
    }
    left -= height;
  }
  return heights.length;
}

/** A table's lettering as its rows get in, what they say, and how high each is. */
interface SetRows {
  set: TableSetting;
  words: readonly string[][];
  heights: readonly number[];
  /** How many go in, from the first on. */
  fits: number;
  /** Height for rows, without title and headings, in mm. */
  body: number;
}

/** Sets rows as large as they are meant, or as many heights smaller as it takes to get them in where that is chosen. */
function setRows(at: TableLayout, of: TableSetting, all: readonly Row[]): SetRows {
  const { content, setting } = of;
  const heads = titled(content) + headed(content);
  const words = all.map((row) => wordsOf(content, row, setting));
  // Rows that fill a cell share its height among as many as go in at their least height.
  const spread = (rowHeight: number): number => {
    if (content.rows > 0 || content.growing) return rowHeight;
    const count = Math.max(1, Math.floor((at.height + 0.01) / rowHeight) - heads);
    return at.height / (count + heads);
  };
  const setAt = (steps: number, scale: number): SetRows => {
    const set = { ...of, rowHeight: spread(of.rowHeight * scale), steps };
    const body = at.height - heads * set.rowHeight;
    const heights = words.map((each) => heightOf(each, set));
    return { set, words, heights, body, fits: capacity(heights, body, at.blocks) };
  };
  let best = setAt(0, 1);
  if (content.more !== 'smaller') return best;
  for (let steps = 1; best.fits < all.length; steps++) {
    const scale = stepScale(content, setting, steps);
    const next = scale === undefined ? undefined : setAt(steps, scale);
    if (!next || next.fits <= best.fits) break;
    best = next;
  }
  return best;
}

/** What is said of rows that are set smaller, or have no room. */
function rowFindings({ content, steps }: TableSetting, hidden: number, room: Room): Finding[] {
  const where = { cell: room.cell.id, content: content.id };
  const what = tableKindOf(content.table).inWords;
  const findings: Finding[] = [];
  if (steps > 0) {
    const message = `Rows of ${what} are set ${counted(steps, 'height')} smaller to get them in`;
    findings.push({ kind: 'stepped', weight: 'note', message, where });
  }
  if (hidden === 0) return findings;
  const message = `${counted(hidden, 'row')} of ${what} ${hidden === 1 ? 'has' : 'have'} no room`;
  if (content.more === 'next') return findings;
  if (saysHidden(content)) findings.push({ kind: 'stepped', weight: 'note', message, where });
  else {
    const mend = 'make the table higher or its rows lower, or choose what becomes of the rows it has no room for';
    findings.push({ kind: 'spill', weight: 'error', message, where, mend });
  }
  return findings;
}

/** Whether a table says itself how many rows it leaves out. */
const saysHidden = ({ more }: TableContent): boolean => more === 'first' || more === 'last';

/** Stands the rows there are into a table, and blank ones where there is room for more. @returns how many have a place */
export function fill(at: TableLayout, of: TableSetting, all: readonly Row[], room: Room, findings: Finding[]): number {
  const { content } = of;
  const rows = setRows(at, of, all);
  const { set, words, heights, body } = rows;
  const { rowHeight } = set;
  const shown = rows.fits === all.length ? { rows: all, from: 0, hidden: 0 } : chosenOf(all, rows, at.blocks);
  findings.push(...rowFindings(set, shown.hidden, room));

  const upward = content.heading === 'bottom';
  /** The foot of what stands so far from the heading's end. */
  const foot = (from: number, height: number): number => (upward ? at.y + from : at.y + at.height - from - height);
  const put = (kind: TableRowLayout['kind'], block: number, y: number, height: number): TableRowLayout => {
    const row = { kind, block, y, height };
    at.rows.push(row);
    return row;
  };
  const inChosen = (text: string, others: OtherLanguages | undefined): string =>
    inChosenLanguages(text, others, room.setting.values);
  // The title stands over everything, the headings at their end of each block.
  if (content.title) {
    const row = put('title', 0, at.y + at.height - rowHeight, rowHeight);
    writeText(at, set, inChosen(content.title, content.titleIn), content.captionRole, 'all', row, findings, room);
  }
  const start = headed(content) * rowHeight + (content.title && !upward ? rowHeight : 0);
  for (let block = 0; block < headed(content) * at.blocks; block++) {
    const row = put('heading', block, foot(start - rowHeight, rowHeight), rowHeight);
    content.columns.forEach(({ heading, headingIn }, i) =>
      writeText(at, set, inChosen(heading, headingIn), content.captionRole, i, row, findings, room),
    );
  }
  let [block, from] = [0, 0];
  /** The next row of a height, in the next block where this one is full; nothing where all are. */
  const next = (kind: TableRowLayout['kind'], height: number): TableRowLayout | undefined => {
    if (from + height > body + 0.01) {
      if (block + 1 >= at.blocks) return undefined;
      [block, from] = [block + 1, 0];
    }
    const row = put(kind, block, foot(start + from, height), height);
    from += height;
    return row;
  };
  const sayHidden = (): void => {
    const row = next('more', rowHeight);
    const word = content.more === 'last' ? 'earlier' : 'more';
    if (row) writeText(at, set, `${shown.hidden} ${word}`, content.valueRole, 'all', row, findings, room);
  };
  const says = shown.hidden > 0 && saysHidden(content);
  if (says && content.more === 'last') sayHidden();
  shown.rows.forEach((_, i) => {
    const index = shown.from + i;
    const row = next('row', heights[index] ?? rowHeight);
    if (!row) return;
    content.columns.forEach((column, c) => {
      const data = { row: set.start + i, column: c };
      writeText(at, set, words[index]?.[c] ?? '', roleOfColumn(content, column), c, row, findings, room, data);
    });
  });
  if (says && content.more === 'first') sayHidden();
  blanks(at, set, { block, from, body, start, foot, count: set.start + shown.rows.length });
  return shown.rows.length;
}

/** The rows that are shown of more than go in. */
function chosenOf(all: readonly Row[], { heights, body, set: { content, rowHeight } }: SetRows, blocks: number): Shown {
  if (!content.growing) {
    return chosen(all, Math.max(1, Math.floor((body + 0.01) / rowHeight)) * blocks, content.more);
  }
  // Rows of different heights: as many as go in from the end that is kept, beside the line that says how many there are more.
  const line = saysHidden(content) ? [rowHeight] : [];
  if (content.more === 'last') {
    let kept = 0;
    while (kept < all.length && capacity([...line, ...heights.slice(-(kept + 1))], body, blocks) === kept + 2) kept++;
    return { rows: all.slice(all.length - kept), from: all.length - kept, hidden: all.length - kept };
  }
  let kept = capacity(heights, body, blocks);
  while (kept > 0 && capacity([...heights.slice(0, kept), ...line], body, blocks) < kept + line.length) kept--;
  return { rows: all.slice(0, kept), from: 0, hidden: all.length - kept };
}

interface Rest {
  block: number;
  from: number;
  body: number;
  start: number;
  foot: (from: number, height: number) => number;
  /** Rows that are filled. */
  count: number;
}

/** Rows without data, which programs that read the sheet can fill; what is over at the end is one piece. */
function blanks(at: TableLayout, { content, rowHeight, setting }: TableSetting, rest: Rest): void {
  if (content.onlyFilled) return;
  const fillable = tableKindOf(content.table).source !== 'register';
  let [{ from }, row] = [rest, rest.count];
  for (let block = rest.block; block < at.blocks; block++, from = 0) {
    while (rest.body - from > 0.01) {
      const over = rest.body - from;
      const height = content.growing && over < 2 * rowHeight - 0.01 ? over : Math.min(over, rowHeight);
      const y = rest.foot(rest.start + from, height);
      at.rows.push({ kind: 'blank', block, y, height });
      if (fillable && height > rowHeight - 0.01) {
        content.columns.forEach((column, c) => {
          const role = roleOf(setting.standard, roleOfColumn(content, column));
          if (role && column.shows !== '') at.texts.push(blankText(at, { column, c, row, block, y, height, role }));
        });
      }
      from += height;
      row++;
    }
  }
}
