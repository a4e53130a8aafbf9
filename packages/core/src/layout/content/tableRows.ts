import type { Finding } from '../../check';
import type { TableContent } from '../../design';
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
  /** How many are left out, and whether before or after those that are shown. */
  hidden: number;
}

/** Chooses rows for a room of some rows; one of them says how many there are more, where that is wanted. */
function chosen(all: readonly Row[], room: number, more: TableContent['more']): Shown {
  if (all.length <= room) return { rows: all, from: 0, hidden: 0 };
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

/** Stands the rows there are into a table, and blank ones where there is room for more. */
export function fill(at: TableLayout, of: TableSetting, all: readonly Row[], room: Room, findings: Finding[]): void {
  const { content } = of;
  const where = { cell: room.cell.id, content: content.id };
  const what = tableKindOf(content.table).inWords;
  const heads = titled(content) + headed(content);
  const words = all.map((row) => wordsOf(content, row, of.setting));
  // Rows that fill a cell share its height among as many as go in at their least height.
  const spread = (rowHeight: number): number => {
    if (content.rows > 0 || content.growing) return rowHeight;
    const count = Math.max(1, Math.floor((at.height + 0.01) / rowHeight) - heads);
    return at.height / (count + heads);
  };
  let [set, heights, fits] = [of, [] as number[], 0];
  const most = content.more === 'smaller' ? of.setting.standard.heights.length : 0;
  for (let steps = 0; steps <= most; steps++) {
    const scale = stepScale(content, of.setting, steps);
    if (scale === undefined) break;
    const next = { ...of, rowHeight: spread(of.rowHeight * scale), steps };
    const body = at.height - heads * next.rowHeight;
    const nextHeights = words.map((each) => heightOf(each, next));
    const nextFits = capacity(nextHeights, body, at.blocks);
    if (steps > 0 && nextFits <= fits) break;
    [set, heights, fits] = [next, nextHeights, nextFits];
    if (fits === all.length) break;
  }
  if (set.steps > 0) {
    const message = `Rows of ${what} are set ${counted(set.steps, 'height')} smaller to get them in`;
    findings.push({ kind: 'stepped', weight: 'note', message, where });
  }
  const rowHeight = set.rowHeight;
  const body = at.height - heads * rowHeight;
  const keptWords = tableKindOf(content.table).kept === 'last' ? 'earlier' : 'more';
  const uniform = Math.max(1, Math.floor((body + 0.01) / rowHeight)) * at.blocks;
  const shown =
    fits === all.length ? chosen(all, all.length, undefined) : chosenFor(all, heights, set, body, at.blocks, uniform);
  if (shown.hidden > 0) {
    const chosenSo = content.more === 'first' || content.more === 'last';
    findings.push({
      kind: chosenSo ? 'stepped' : 'spill',
      weight: chosenSo ? 'note' : 'error',
      message: `${counted(shown.hidden, 'row')} of ${what} ${shown.hidden === 1 ? 'has' : 'have'} no room`,
      where,
      ...(chosenSo
        ? {}
        : { mend: 'make the table higher or its rows lower, or choose what becomes of the rows it has no room for' }),
    });
  }
  const upward = content.heading === 'bottom';
  /** The foot of what stands so far from the heading's end. */
  const foot = (from: number, height: number): number => (upward ? at.y + from : at.y + at.height - from - height);
  const put = (kind: TableRowLayout['kind'], block: number, from: number, height: number): TableRowLayout => {
    const row = { kind, block, y: foot(from, height), height };
    at.rows.push(row);
    return row;
  };
  // The title stands over everything, the heading at its end of each block.
  if (content.title) {
    const row = { kind: 'title', block: 0, y: at.y + at.height - rowHeight, height: rowHeight } as const;
    at.rows.push(row);
    writeText(at, set, content.title, content.captionRole, 'all', row, findings, room);
  }
  const start = headed(content) * rowHeight + (content.title && !upward ? rowHeight : 0);
  if (headed(content) > 0) {
    for (let block = 0; block < at.blocks; block++) {
      const row = put('heading', block, start - rowHeight, rowHeight);
      content.columns.forEach(({ heading }, i) =>
        writeText(at, set, heading, content.captionRole, i, row, findings, room),
      );
    }
  }
  let [block, from] = [0, 0];
  const next = (height: number): { block: number; from: number } | undefined => {
    if (from + height > body + 0.01) {
      if (block + 1 >= at.blocks) return undefined;
      [block, from] = [block + 1, 0];
    }
    const place = { block, from: start + from };
    from += height;
    return place;
  };
  const more = (): void => {
    const place = next(rowHeight);
    if (!place) return;
    const row = put('more', place.block, place.from, rowHeight);
    writeText(at, set, `${shown.hidden} ${keptWords}`, content.valueRole, 'all', row, findings, room);
  };
  const says = shown.hidden > 0 && (content.more === 'first' || content.more === 'last');
  if (says && content.more === 'last') more();
  shown.rows.forEach((_, i) => {
    const index = shown.from + i;
    const place = next(heights[index] ?? rowHeight);
    if (!place) return;
    const row = put('row', place.block, place.from, heights[index] ?? rowHeight);
    content.columns.forEach((column, c) =>
      writeText(at, set, words[index]?.[c] ?? '', roleOfColumn(content, column), c, row, findings, room, {
        row: i,
        column: c,
      }),
    );
  });
  if (says && content.more === 'first') more();
  blanks(at, set, { block, from, body, start, foot, count: shown.rows.length });
}

/** The rows that are shown of more than go in. */
function chosenFor(
  all: readonly Row[],
  heights: readonly number[],
  { content, rowHeight }: TableSetting,
  body: number,
  blocks: number,
  uniform: number,
): Shown {
  if (!content.growing) return chosen(all, uniform, content.more);
  // Rows of different heights: as many as go in from the end that is kept, beside the line that says how many there are more.
  const line = content.more === 'first' || content.more === 'last' ? [rowHeight] : [];
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
          if (role && column.shows !== '')
            at.texts.push(blankText(at, { content, column, c, row, block, y, height, role }));
        });
      }
      from += height;
      row++;
    }
  }
}
