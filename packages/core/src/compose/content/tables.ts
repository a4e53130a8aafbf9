import type { Item } from '../../drawing';
import { rectPoints } from '../../drawing';
import type { PlacedOf } from '../../layout';
import { textWidth } from '../../lettering';
import { penFor, roleOf } from '../../standard';
import { colourOf, inkOf, layerName } from '../layers';
import type { DrawKind } from './kind';

/** The lines of a table, its headings and the rows there are. */
export const tableItems: DrawKind<PlacedOf<'table'>> = (at, { tables, standard, typefaces }) => {
  const { content: table, columns, rowHeight, cell } = at;
  const base = { part: 'block', cell } as const;
  const ink = inkOf(standard, penFor(standard, 'divider').id);
  const lines = layerName(standard, 'cells');
  const items: Item[] = [{ ...base, kind: 'stroke', points: rectPoints(at), closed: true, ...ink, layer: lines }];
  const stroke = (points: number[]): void => {
    items.push({ ...base, kind: 'stroke', points, closed: false, ...ink, layer: lines });
  };
  for (let row = 1; row <= table.rows; row++) {
    const y = at.y + row * rowHeight;
    stroke([at.x, y, at.x + at.width, y]);
  }
  const starts: number[] = [];
  let x = at.x;
  columns.forEach((width, i) => {
    if (i > 0) stroke([x, at.y, x, at.y + at.height]);
    starts.push(x);
    x += width;
  });

  const write = (text: string, column: number, row: number, roleId: string, layer: string): void => {
    const role = roleOf(standard, roleId);
    const typeface = role && typefaces.get(role.typeface);
    if (!role || !typeface || text === '') return;
    const natural = textWidth(typeface, text, role.height, role.widthFactor);
    const room = (columns[column] ?? 0) - 2;
    // A table's columns are set exactly; a longer text is condensed into its column rather than run into the next.
    const factor = natural > room && room > 0 ? room / natural : 1;
    const y = table.heading === 'bottom' ? at.y + row * rowHeight : at.y + at.height - (row + 1) * rowHeight;
    items.push({
      ...base,
      kind: 'text',
      text,
      at: { x: (starts[column] ?? at.x) + 1, y: y + (rowHeight - role.height) / 2 },
      height: role.height,
      width: natural * factor,
      widthFactor: role.widthFactor * factor,
      rotation: 0,
      typeface: role.typeface,
      role: role.id,
      ...colourOf(standard, role.pen),
      layer,
    });
  };
  table.columns.forEach((column, i) => write(column.heading, i, 0, table.captionRole, layerName(standard, 'captions')));
  (tables[table.table] ?? []).slice(0, table.rows).forEach((row, r) => {
    table.columns.forEach((column, i) =>
      write(row[column.key] ?? '', i, r + 1, table.valueRole, layerName(standard, 'values')),
    );
  });
  return items;
};
