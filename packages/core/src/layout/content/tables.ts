import type { TableContent } from '../../design';
import type { BoxKind, Measuring, PlacedBox } from './kind';
import { tooLarge } from './tooLarge';
import { unknownRoles } from './unknownRoles';
import { within } from './within';

/** A table where it came to stand, with its columns from the left; lengths in mm. */
export interface TableLayout extends PlacedBox<TableContent> {
  columns: number[];
  rowHeight: number;
}

const measured = ({ columns, rowHeight }: TableContent, { length }: Measuring) => ({
  columns: columns.map(({ width }) => length(width)),
  rowHeight: length(rowHeight),
});

const extentOf = ({ rows }: TableContent, { columns, rowHeight }: ReturnType<typeof measured>) => ({
  width: columns.reduce((sum, each) => sum + each, 0),
  height: (rows + 1) * rowHeight,
});

/** A table stands exactly in its cell, without padding, so that its lines meet the cell's. */
export const tables: BoxKind<TableContent, TableLayout> = {
  extent: (content, by) => extentOf(content, measured(content, by)),
  lay: (content, room) => {
    const { cell, whole } = room;
    const lengths = measured(content, room);
    const extent = extentOf(content, lengths);
    const what = `the table of ${content.table}`;
    return {
      placed: { cell: cell.id, content, ...within(whole, extent, content), ...lengths },
      findings: [
        ...unknownRoles([content.captionRole, content.valueRole], room, content.id, what),
        ...tooLarge(extent, whole, room, content.id, what, () => 'fewer rows, narrower columns or a larger cell'),
      ],
    };
  },
};
