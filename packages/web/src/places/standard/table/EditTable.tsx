import type { ReactNode } from 'react';
import { useId } from 'react';
import CloseIcon from '@mui/icons-material/Close';
import IconButton from '@mui/material/IconButton';
import { styled } from '@mui/material/styles';
import type { Problem } from '@mendrel/core';
import { readPasted } from '@mendrel/formats/csv';
import type { Column } from './columns';
import { EntryCell } from './EntryCell';
import { useEntries } from './useEntries';

const Grid = styled('table')(({ theme }) => ({
  borderCollapse: 'collapse',
  tableLayout: 'fixed',
  '& caption': { position: 'absolute', left: -9999 },
  '& th, & td': { padding: 0, borderBottom: `1px solid ${theme.vars?.palette.divider}`, verticalAlign: 'top' },
  '& thead th': {
    color: theme.vars?.palette.text.secondary,
    fontWeight: 600,
    textAlign: 'left',
    padding: '6px 8px',
    verticalAlign: 'bottom',
  },
  '& tr[aria-current="true"] td': { background: theme.vars?.palette.office.accentGround },
}));

interface Props<Row> {
  /** The table's path in the standard, by which problems and entries know their fields: `roles`. */
  path: string;
  caption: string;
  columns: readonly Column<Row>[];
  rows: readonly Row[];
  /** What stays the same when a row is edited. */
  idOf: (row: Row) => string;
  problems: readonly Problem[];
  onChange: (rows: Row[], field?: string) => void;
  /** A new row, for what is pasted below the last one and for the button. */
  fresh?: (rows: readonly Row[]) => Row;
  /** What a row is called on the button that takes it away. */
  nameOf: (row: Row) => string;
  chosen?: string | undefined;
  onChoose?: (id: string) => void;
  /** A drawn specimen or a computed figure at the end of each row. */
  extra?: { name: string; width: number; of: (row: Row) => ReactNode };
  /** How few rows there must be. */
  least?: number;
}

/** Width of the button that takes a row away, in pixels. */
const REMOVE = 34;

/** What a column takes: its entries, and the longest word of its heading, which breaks between words only. */
const roomOf = ({ width, name }: { width: number; name: string }): number =>
  Math.max(width, 18 + 8 * Math.max(...name.split(' ').map((word) => word.length)));

/** A table that people type through: arrow keys, Tab and Enter move, a piece of a spreadsheet can be pasted. */
export function EditTable<Row>(props: Props<Row>) {
  const {
    path,
    caption,
    columns,
    rows,
    idOf,
    problems,
    onChange,
    fresh,
    nameOf,
    chosen,
    onChoose,
    extra,
    least = 0,
  } = props;
  const entries = useEntries();
  const table = useId();
  const fieldOf = (row: Row, column: Column<Row>): string => `${path}.${idOf(row)}.${column.key}`;
  const cellId = (row: number, column: number): string => `${table}-${row}-${column}`;
  const focus = (row: number, column: number): void => document.getElementById(cellId(row, column))?.focus();

  const type = (index: number, column: Column<Row>, text: string): void => {
    const row = rows[index];
    if (!row) return;
    const field = fieldOf(row, column);
    entries.attempt(field, text, () => {
      const changed = column.read(text, row);
      onChange(
        rows.map((each, i) => (i === index ? changed : each)),
        field,
      );
    });
  };

  /** Puts a piece of a spreadsheet into the table; cells that cannot be read keep what was pasted, marked. */
  const paste = (at: number, from: number, text: string): boolean => {
    const piece = readPasted(text);
    if (piece.length === 1 && piece[0]?.length === 1) return false;
    const next = [...rows];
    const unread: [string, string, unknown][] = [];
    piece.forEach((cells, down) => {
      const index = at + down;
      if (index >= next.length) {
        if (!fresh) return;
        next.push(fresh(next));
      }
      cells.forEach((cell, across) => {
        const column = columns[from + across];
        const row = next[index];
        if (!column || !row || column.fixed?.(row)) return;
        try {
          next[index] = column.read(cell, row);
        } catch (error) {
          unread.push([fieldOf(row, column), cell, error]);
        }
      });
    });
    onChange(next);
    for (const [field, cell, error] of unread) entries.refuse(field, cell, error);
    return true;
  };

  const problemAt = (index: number, column: Column<Row>): string | undefined =>
    problems.find(({ where }) => {
      const place = `${path}.${index}.${column.key}`;
      if (where === place || where.startsWith(`${place}.`)) return true;
      // What is wrong with several columns together stands at the first of them.
      const first = columns.find((each) => `${path}.${index}.${each.key}`.startsWith(`${where}.`));
      return first === column;
    })?.message;

  const widths = [...columns.map(roomOf), ...(extra ? [roomOf(extra)] : []), ...(fresh ? [REMOVE] : [])];
  const whole = widths.reduce((sum, width) => sum + width, 0);
  return (
    // In a narrow card the columns give way together; where entries could not be read any more the card scrolls.
    <Grid style={{ width: `min(100%, ${whole}px)`, minWidth: whole * 0.72 }}>
      <caption>{caption}</caption>
      <colgroup>
        {widths.map((width, i) => (
          <col key={i} style={{ width: `${(width / whole) * 100}%` }} />
        ))}
      </colgroup>
      <thead>
        <tr>
          {columns.map((column) => (
            <th key={column.key} scope="col" style={{ textAlign: column.figures ? 'right' : 'left' }}>
              {column.name}
            </th>
          ))}
          {extra ? <th scope="col">{extra.name}</th> : null}
          {fresh ? <td /> : null}
        </tr>
      </thead>
      <tbody>
        {rows.map((row, index) => (
          <tr
            key={idOf(row)}
            aria-current={chosen === undefined ? undefined : chosen === idOf(row)}
            onFocus={() => onChoose?.(idOf(row))}
          >
            {columns.map((column, at) => {
              const field = fieldOf(row, column);
              return (
                <td key={column.key}>
                  <EntryCell
                    id={cellId(index, at)}
                    label={`${column.name}, ${nameOf(row) || 'new row'}`}
                    column={column}
                    row={row}
                    unread={entries.unread[field]}
                    problem={entries.unread[field]?.message ?? problemAt(index, column)}
                    onType={(text) => type(index, column, text)}
                    onLeave={entries.leave}
                    onDrop={() => entries.drop(field)}
                    onMove={(down, across) => focus(index + down, at + across)}
                    onPaste={(text) => paste(index, at, text)}
                  />
                </td>
              );
            })}
            {extra ? <td style={{ padding: '6px 8px' }}>{extra.of(row)}</td> : null}
            {fresh ? (
              <td>
                <IconButton
                  size="small"
                  aria-label={`Remove ${nameOf(row) || 'this row'}`}
                  title={`Remove ${nameOf(row) || 'this row'}`}
                  disabled={rows.length <= least}
                  onClick={() => {
                    entries.dropAll(`${path}.${idOf(row)}.`);
                    onChange(rows.filter((each) => each !== row));
                  }}
                >
                  <CloseIcon sx={{ fontSize: 16 }} />
                </IconButton>
              </td>
            ) : null}
          </tr>
        ))}
      </tbody>
    </Grid>
  );
}
