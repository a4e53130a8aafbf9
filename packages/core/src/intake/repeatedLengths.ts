import type { Cell, Design, Track } from '../design';

/** A length that stands this often in a design is one that was meant once. */
const OFTEN = 3;

type Axis = 'rows' | 'columns';
const NAMES: Record<Axis, string> = { rows: 'row', columns: 'column' };

/**
 * Names lengths of rows and of columns that are repeated in a design as dimensions, so that they can be changed, and set by
 * size, in one place: row, row2, … the most frequent first.
 */
export function withRepeatedLengths(design: Design): Design {
  const dimensions = [...design.dimensions];
  const names: Record<Axis, Map<string, string>> = { rows: new Map(), columns: new Map() };
  for (const axis of ['rows', 'columns'] as const) {
    const counts = new Map<string, number>();
    const count = (cell: Cell): void => {
      for (const track of cell.division?.[axis] ?? [])
        if ('fixed' in track) counts.set(track.fixed, (counts.get(track.fixed) ?? 0) + 1);
      for (const child of cell.division?.children ?? []) count(child.cell);
    };
    for (const panel of design.panels) count(panel.root);
    const often = [...counts].filter(([, times]) => times >= OFTEN).sort((a, b) => b[1] - a[1]);
    for (const [formula] of often) {
      const number = names[axis].size + 1;
      const name = `${NAMES[axis]}${number > 1 ? number : ''}`;
      if (dimensions.some((each) => each.name === name)) continue;
      names[axis].set(formula, name);
      dimensions.push({ name, formula });
    }
  }
  if (names.rows.size + names.columns.size === 0) return design;
  const named = (tracks: readonly Track[], axis: Axis): Track[] =>
    tracks.map((track) => {
      const name = 'fixed' in track ? names[axis].get(track.fixed) : undefined;
      return name === undefined ? track : { ...track, fixed: name };
    });
  const walk = (cell: Cell): Cell =>
    cell.division
      ? {
          ...cell,
          division: {
            ...cell.division,
            rows: named(cell.division.rows, 'rows'),
            columns: named(cell.division.columns, 'columns'),
            children: cell.division.children.map((child) => ({ ...child, cell: walk(child.cell) })),
          },
        }
      : cell;
  return { ...design, dimensions, panels: design.panels.map((panel) => ({ ...panel, root: walk(panel.root) })) };
}
