import type { Cell, Track } from './cell';
import type { Content } from './content';
import { formulasOf, textAt, withTexts } from './content';
import type { AnchoredPoint, Loose } from './loose';
import { PANEL_FORMULAS } from './panel';
import type { Design } from './schema';
import { cellLabel, cellsOf } from './visit';

/** A formula of a design, and what it is for in words. */
export interface FormulaUse {
  text: string;
  what: string;
  /** The dimension it belongs to, when it is one's own. */
  dimension?: string;
  /** The cell it belongs to. */
  cell?: string;
}

/** Every formula of a design. */
export function formulasIn(design: Design): FormulaUse[] {
  const uses: FormulaUse[] = [];
  const add = (text: string | undefined, what: string, more: Partial<FormulaUse> = {}): void => {
    if (text !== undefined) uses.push({ text, what, ...more });
  };
  for (const { name, formula, bySize } of design.dimensions) {
    add(formula, `dimension ${name}`, { dimension: name });
    for (const [size, text] of Object.entries(bySize ?? {})) add(text, `${name} on ${size}`, { dimension: name });
  }
  if (design.frame.margins !== 'standard') {
    for (const [edge, text] of Object.entries(design.frame.margins)) add(text, `the ${edge} margin`);
  }
  for (const panel of design.panels) {
    for (const key of PANEL_FORMULAS) {
      add(panel[key], `the ${key === 'when' ? 'condition' : key} of ${panel.name}`, { cell: panel.root.id });
    }
  }
  for (const { cell } of cellsOf(design)) {
    const of = (what: string): string => `${what} of ${cellLabel(cell)}`;
    const at = { cell: cell.id };
    add(cell.padding, of('the padding'), at);
    add(cell.when, of('the condition'), at);
    for (const content of cell.contents) {
      for (const { path, what } of formulasOf(content)) add(textAt(content, path), of(what), at);
    }
    for (const axis of ['rows', 'columns'] as const) {
      add(cell.division?.gaps?.[axis], of(`the gap between the ${axis}`), at);
      cell.division?.[axis].forEach((track, i) => {
        const what = of(`${axis === 'rows' ? 'row' : 'column'} ${i + 1}`);
        if ('fixed' in track) add(track.fixed, what, at);
        else {
          add(track.min, `the least of ${what}`, at);
          add(track.max, `the most of ${what}`, at);
        }
      });
    }
  }
  for (const loose of design.loose ?? []) {
    const what = `a free ${loose.kind}`;
    add(loose.when, `the condition of ${what}`);
    for (const point of pointsOf(loose)) {
      add(point.x, what);
      add(point.y, what);
    }
  }
  return uses;
}

const pointsOf = (loose: Loose): AnchoredPoint[] => ('at' in loose ? [loose.at] : [loose.from, loose.to]);

/** Rewrites every formula of a design. @param change is told whether a formula is a condition */
export function mapFormulas(design: Design, change: (text: string, condition: boolean) => string): Design {
  /** Changes the named texts of an object where they are there. */
  const changed = <T extends object>(of: T, keys: readonly (keyof T)[]): T => {
    const next = { ...of };
    for (const key of keys) {
      const text = of[key];
      if (typeof text === 'string') next[key] = change(text, key === 'when') as T[keyof T];
    }
    return next;
  };
  const track = (each: Track): Track =>
    'fixed' in each ? changed(each, ['fixed']) : changed(each, ['min', 'max'] as never[]);
  const content = (each: Content): Content =>
    formulasOf(each).reduce(
      (now, { path }) => withTexts(now, [path], (text) => change(text, path.at(-1) === 'when')),
      each,
    );
  const cell = (each: Cell): Cell => {
    const next = changed({ ...each, contents: each.contents.map(content) }, ['padding', 'when']);
    if (!each.division) return next;
    const { columns, rows, children, gaps } = each.division;
    return {
      ...next,
      division: {
        ...(gaps && { gaps: changed(gaps, ['columns', 'rows']) }),
        columns: columns.map(track),
        rows: rows.map(track),
        children: children.map((child) => ({ ...child, cell: cell(child.cell) })),
      },
    };
  };
  const point = (at: AnchoredPoint): AnchoredPoint => changed(at, ['x', 'y']);
  const loose = (each: Loose): Loose => {
    const next = changed(each, ['when']);
    return 'at' in next ? { ...next, at: point(next.at) } : { ...next, from: point(next.from), to: point(next.to) };
  };
  const { margins } = design.frame;
  return {
    ...design,
    dimensions: design.dimensions.map((dimension) => ({
      ...dimension,
      formula: change(dimension.formula, false),
      ...(dimension.bySize
        ? {
            bySize: Object.fromEntries(
              Object.entries(dimension.bySize).map(([size, text]) => [size, change(text, false)]),
            ),
          }
        : {}),
    })),
    frame: {
      ...design.frame,
      margins: margins === 'standard' ? margins : changed(margins, ['left', 'right', 'top', 'bottom']),
    },
    panels: design.panels.map((panel) => ({
      ...changed(panel, PANEL_FORMULAS),
      root: cell(panel.root),
    })),
    ...(design.loose ? { loose: design.loose.map(loose) } : {}),
  };
}
