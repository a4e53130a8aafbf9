import type { Finding } from '../../check';
import type { TableContent } from '../../design';
import { shareOfWidth } from '../../design';
import { patternKeys } from '../../parameter';
import { parametersOf } from '../../standard';
import { rowKeysOf, tableId, tableKindOf } from '../../table';
import { sizeTracks } from '../tracks';
import type { BoxKind, Measuring, Room } from './kind';
import type { TableLayout } from './tableLayout';
import { blocksOf, headed, titled } from './tableLayout';
import { fill } from './tableRows';
import { roleOfColumn, SIDE } from './tableTexts';
import { tooLarge } from './tooLarge';
import { unknownRoles } from './unknownRoles';
import { within } from './within';

/** Rows are not drawn lower than this, in mm: nothing could be written into them. */
const LEAST_ROW = 0.5;

/** What a table asks for by itself: shares of the width ask for none, and what fills its cell for one row. */
function extentOf(content: TableContent, { length }: Measuring): { width: number; height: number } {
  const fixed = content.columns.reduce(
    (sum, { width }) => sum + (shareOfWidth(width) === undefined ? length(width) : 0),
    0,
  );
  const rows = Math.max(content.rows, 1) + titled(content) + headed(content);
  return { width: fixed * blocksOf(content), height: rows * length(content.rowHeight) };
}

/** A table stands exactly in its cell, without padding, so that its lines meet the cell's. */
export const tables: BoxKind<TableContent, TableLayout> = {
  extent: extentOf,
  lay: (content, room) => {
    const { cell, whole, length, setting } = room;
    const what = tableKindOf(content.table).inWords;
    const blocks = blocksOf(content);
    const asked = extentOf(content, room);
    const shares = content.columns.some(({ width }) => shareOfWidth(width) !== undefined);
    const blockWidth = (shares ? Math.max(whole.width, asked.width) : asked.width) / blocks;
    const tracks = content.columns.map(({ width }) => {
      const share = shareOfWidth(width);
      return share === undefined
        ? ({ kind: 'fixed', length: length(width) } as const)
        : ({ kind: 'share', share, min: 0, max: Infinity } as const);
    });
    const columns = sizeTracks(tracks, blockWidth).lengths;
    const least = Math.max(length(content.rowHeight), LEAST_ROW);
    const listed = setting.tables?.[tableId(content)] ?? [];
    const before = content.goesOn ? room.goingOn.get(tableId(content)) : undefined;
    const start = before?.shown ?? 0;
    const all = start === 0 ? listed : listed.slice(start);
    const height = content.rows === 0 ? Math.max(whole.height, asked.height) : asked.height;
    const placed: TableLayout = {
      cell: cell.id,
      content,
      ...within(whole, { width: blockWidth * blocks, height }, content),
      columns,
      blockWidth,
      blocks,
      rows: [],
      texts: [],
    };
    const findings: Finding[] = [
      ...unknownRoles(
        [content.captionRole, ...content.columns.map((column) => roleOfColumn(content, column))],
        room,
        content.id,
        what,
      ),
      ...tooLarge({ width: placed.width, height }, whole, room, content.id, what, () =>
        shares || content.rows > 0
          ? 'fewer rows, narrower columns or a larger cell'
          : 'narrower columns or a larger cell',
      ),
      ...narrow(content, columns, room),
    ];
    findings.push(...unknownKeys(content, room));
    if (tableKindOf(content.table).source === 'recorded' && listed.length === 0) {
      findings.push({
        kind: 'missing',
        weight: 'note',
        message: `${what} stays blank: areas are not kept yet`,
        where: { cell: cell.id, content: content.id },
      });
    }
    const shown = fill(
      placed,
      { content, setting, widths: columns, rowHeight: least, steps: 0, start },
      all,
      room,
      findings,
    );
    // What one leaves to the next is told when there is none; what it goes on with is no longer left.
    if (content.more === 'next' || before)
      room.goingOn.set(tableId(content), {
        shown: start + shown,
        left: content.more === 'next' ? all.length - shown : 0,
        cell: cell.id,
        content: content.id,
        what,
      });
    return { placed, findings };
  },
};

/** A table of the office that is gone, and columns that ask for what rows do not have. */
function unknownKeys(content: TableContent, { cell, setting }: Room): Finding[] {
  const where = { cell: cell.id, content: content.id };
  const { inWords: what, source } = tableKindOf(content.table);
  const keys = rowKeysOf(tableId(content), setting.standard.tables);
  if (!keys) {
    const message = content.own
      ? 'the office standard has no such table any more'
      : 'it is not said which of the office’s tables this is';
    return [{ kind: 'unknown', weight: 'error', message, where, mend: 'choose what the table lists' }];
  }
  const known = new Set(keys.map(({ key }) => `row.${key}`));
  const parameters = parametersOf(setting.standard);
  const asked = new Set(content.columns.flatMap(({ shows }) => patternKeys(shows)));
  return [...asked].flatMap((key): Finding[] =>
    known.has(key) || parameters.has(key)
      ? []
      : [
          {
            kind: 'unknown',
            weight: 'error',
            message: `a column of ${what} asks for {${key}}, which ${source === 'register' ? 'sheets' : 'its rows'} do not have`,
            where: { ...where, parameter: key },
            mend: 'choose what the column shows',
          },
        ],
  );
}

/** Columns that are left no room by the others. */
function narrow(content: TableContent, columns: readonly number[], { cell }: Room): Finding[] {
  const at = columns.findIndex((width) => width < 2 * SIDE);
  if (at < 0) return [];
  return [
    {
      kind: 'room',
      weight: 'error',
      message: `column ${at + 1} of ${tableKindOf(content.table).inWords} has no room for words`,
      where: { cell: cell.id, content: content.id },
      mend: 'make other columns narrower, or the cell wider',
    },
  ];
}
