import type { Caption, Cell, Child, Content, Design, Field, Notes, Panel, TableContent, Track } from '../design';
import type { LetteringRole, OfficeStandard, PenUse } from '../standard';
import { penFor, roleFor } from '../standard';
import type { TableKindName } from '../table';
import { usualColumns } from '../table';

/** Lettering that a starter asks for: by use, and small values for rows and narrow cells. */
export type StarterLettering = Exclude<LetteringRole['use'], 'zone'> | 'small value';

/** Height of small values in mm where the office has it: the next smaller one of ISO 3098 (from memory). */
const SMALL_VALUE = 2.5;

/** Makes cells and contents with ids that count up, so that a starter reads as a plan of itself. */
export class Parts {
  private last = 0;

  constructor(
    private readonly standard: Pick<OfficeStandard, 'roles' | 'pens'>,
    private readonly unit: Design['unit'],
  ) {}

  private role(lettering: StarterLettering): string {
    return lettering === 'small value'
      ? roleFor(this.standard, 'value', this.unit, SMALL_VALUE).id
      : roleFor(this.standard, lettering, this.unit).id;
  }

  private id(kind: string): string {
    return `${kind}-${++this.last}`;
  }

  caption(text: string): Caption {
    const fit = { lines: 1, condense: 0.8, steps: 1 };
    return { id: this.id('content'), kind: 'caption', text, role: this.role('caption'), ...LEFT, vertical: 'top', fit };
  }

  field(pattern: string, lettering: StarterLettering = 'value', lines = 1): Field {
    const fit = { lines, condense: 0.85, steps: 1 };
    return {
      id: this.id('content'),
      kind: 'field',
      pattern,
      role: this.role(lettering),
      ...LEFT,
      vertical: 'bottom',
      fit,
    };
  }

  notes(text: string): Notes {
    return { id: this.id('content'), kind: 'notes', text, role: this.role('notes'), ...LEFT, vertical: 'top' };
  }

  /** A table with the usual columns of its kind that fills its cell. */
  table(kind: TableKindName, rowHeight: string, more: Partial<TableContent> = {}): TableContent {
    return {
      id: this.id('content'),
      kind: 'table',
      table: kind,
      columns: usualColumns(kind),
      rowHeight,
      rows: 0,
      heading: 'top',
      captionRole: this.role('caption'),
      valueRole: this.role('small value'),
      ...LEFT,
      vertical: 'top',
      ...more,
    };
  }

  /** The one panel of a starter around its cells. */
  panel(root: Cell, place: Omit<Panel, 'id' | 'outlinePen' | 'dividerPen' | 'root'>): Panel {
    const pen = (use: PenUse): string => penFor(this.standard, use).id;
    return { id: 'panel-1', outlinePen: pen('outline'), dividerPen: pen('divider'), root, ...place };
  }

  cell(name: string, ...contents: Content[]): Cell {
    return { id: this.id('cell'), name, contents };
  }

  /** A cell with a caption at its top and a field at its bottom. */
  named(name: string, pattern: string, lettering: StarterLettering = 'value', lines = 1): Cell {
    return this.cell(name, this.caption(name), this.field(pattern, lettering, lines));
  }

  rows(name: string, ...rows: readonly (readonly [Track, Cell])[]): Cell {
    return this.divided(name, 'rows', rows);
  }

  columns(name: string, ...columns: readonly (readonly [Track, Cell])[]): Cell {
    return this.divided(name, 'columns', columns);
  }

  private divided(name: string, axis: 'rows' | 'columns', parts: readonly (readonly [Track, Cell])[]): Cell {
    const tracks = parts.map(([track]) => track);
    const children = parts.map(([, cell], i): Child => ({
      column: axis === 'columns' ? i : 0,
      row: axis === 'rows' ? i : 0,
      columnSpan: 1,
      rowSpan: 1,
      cell,
    }));
    const one: Track[] = [{ share: 1 }];
    return {
      id: this.id('cell'),
      name,
      contents: [],
      division: axis === 'rows' ? { rows: tracks, columns: one, children } : { columns: tracks, rows: one, children },
    };
  }
}

const LEFT = { horizontal: 'left', rotation: 0 } as const;

export const share = (weight = 1): Track => ({ share: weight });
export const fixed = (formula: string): Track => ({ fixed: formula });
