import type { ModuleCorner, ModuleNames, Modules } from '../design';

/** Letters of the alphabet as a count: A … Z, AA … */
export function letterOf(index: number): string {
  const letter = String.fromCharCode(65 + (index % 26));
  return index < 26 ? letter : letterOf(Math.floor(index / 26) - 1) + letter;
}

/**
 * The name by which a module is kept: row letter from the bottom, column number from the left (US National CAD Standard,
 * from memory). What the office calls it is its label.
 */
export const moduleName = (column: number, row: number): string => `${letterOf(row)}${column + 1}`;

/** Column and row of a module's name, counted from 0; undefined for one that is not in a grid of so many. */
export function moduleAt(
  name: string,
  grid: { columns: number; rows: number },
): { column: number; row: number } | undefined {
  const match = /^([A-Z]{1,2})(\d{1,2})$/.exec(name);
  if (!match) return undefined;
  let row = 0;
  for (const letter of match[1] ?? '') row = row * 26 + letter.charCodeAt(0) - 64;
  const column = Number(match[2]) - 1;
  row -= 1;
  return column >= 0 && column < grid.columns && row < grid.rows ? { column, row } : undefined;
}

interface Counted {
  columns: number;
  rows: number;
}

const NAMES: Readonly<Record<ModuleNames, (column: number, row: number, grid: Counted) => string>> = {
  'row-column': (column, row) => `${letterOf(row)}${column + 1}`,
  'column-row': (column, row) => `${letterOf(column)}${row + 1}`,
  'along-rows': (column, row, { columns }) => String(row * columns + column + 1),
  'along-columns': (column, row, { rows }) => String(column * rows + row + 1),
};

const FROM: Readonly<Record<ModuleCorner, { left: boolean; bottom: boolean }>> = {
  'lower-left': { left: true, bottom: true },
  'lower-right': { left: false, bottom: true },
  'upper-left': { left: true, bottom: false },
  'upper-right': { left: false, bottom: false },
};

type Naming = NonNullable<Modules['naming']>;

/** How modules are called where nothing else is said: US National CAD Standard, from memory. */
export const USUAL_NAMING: Naming = { from: 'lower-left', by: 'row-column' };

/** What the office calls a module; column and row are counted from the lower left, from 0. */
export function moduleLabel(column: number, row: number, grid: Counted & Pick<Modules, 'naming'>): string {
  const { from, by } = grid.naming ?? USUAL_NAMING;
  const { left, bottom } = FROM[from];
  return NAMES[by](left ? column : grid.columns - 1 - column, bottom ? row : grid.rows - 1 - row, grid);
}

const isRunning = ({ by }: Naming): boolean => by === 'along-rows' || by === 'along-columns';

/**
 * What modules are called once the office names them otherwise, so that they stay where they are. Where their number follows from
 * a wanted size, they keep their names, which then begin in another corner; names that say nothing any more are left out.
 */
export function renamedModules(called: readonly string[], modules: Modules, naming: Naming): string[] {
  const before = modules.naming ?? USUAL_NAMING;
  if (modules.wanted) return isRunning(before) === isRunning(naming) ? [...called] : [];
  const { columns, rows } = modules;
  const renamed = new Map<string, string>();
  for (let column = 0; column < columns; column++)
    for (let row = 0; row < rows; row++)
      renamed.set(
        moduleLabel(column, row, { columns, rows, naming: before }),
        moduleLabel(column, row, { columns, rows, naming }),
      );
  return called.flatMap((name) => renamed.get(name) ?? []);
}
