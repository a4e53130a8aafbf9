/** Which modules of a sheet are taken. */
export interface ModuleCells {
  readonly columns: number;
  readonly rows: number;
  taken: (column: number, row: number) => boolean;
  take: (column: number, row: number, columnSpan: number, rowSpan: number) => void;
  copy: () => ModuleCells;
}

function cellsFrom(columns: number, rows: number, state: Uint8Array): ModuleCells {
  return {
    columns,
    rows,
    taken: (column, row) => state[row * columns + column] === 1,
    take: (column, row, columnSpan, rowSpan) => {
      for (let r = row; r < row + rowSpan; r++) state.fill(1, r * columns + column, r * columns + column + columnSpan);
    },
    copy: () => cellsFrom(columns, rows, state.slice()),
  };
}

/** The modules of a grid of which some are taken. */
export function occupied(
  { columns, rows }: { columns: number; rows: number },
  isTaken: (column: number, row: number) => boolean,
): ModuleCells {
  const state = Uint8Array.from({ length: columns * rows }, (_, i) =>
    Number(isTaken(i % columns, Math.floor(i / columns))),
  );
  return cellsFrom(columns, rows, state);
}

/**
 * The first stretch of free modules as it is read from the upper left, by its lower left module; undefined for none.
 * @param isGood whether a stretch that begins there will do
 */
export function freeCells(
  cells: ModuleCells,
  columnSpan: number,
  rowSpan: number,
  isGood: (column: number, row: number) => boolean = () => true,
): { column: number; row: number } | undefined {
  for (let row = cells.rows - rowSpan; row >= 0; row--) {
    for (let column = 0; column + columnSpan <= cells.columns;) {
      const blocked = lastTaken(cells, column, row, columnSpan, rowSpan);
      if (blocked === undefined && isGood(column, row)) return { column, row };
      column = (blocked ?? column) + 1;
    }
  }
  return undefined;
}

/** The last column of a stretch in which a module is taken: nothing that begins up to there is free. */
function lastTaken(
  cells: ModuleCells,
  column: number,
  row: number,
  columnSpan: number,
  rowSpan: number,
): number | undefined {
  for (let c = column + columnSpan - 1; c >= column; c--)
    for (let r = row; r < row + rowSpan; r++) if (cells.taken(c, r)) return c;
  return undefined;
}
