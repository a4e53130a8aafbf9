import type { TableContent } from '../../design';
import type { PlacedBox } from './kind';

/** A row where it came to stand, from its foot up. */
export interface TableRowLayout {
  kind: 'title' | 'heading' | 'row' | 'blank' | 'more';
  /** Which block of columns it belongs to, from the left; 0 where there is one. */
  block: number;
  y: number;
  height: number;
}

/** A text of a table where it came to stand; its lines with the start of each base line. */
export interface TableTextLayout {
  lines: { text: string; x: number; y: number; width: number }[];
  height: number;
  widthFactor: number;
  role: string;
  horizontal: 'left' | 'centre' | 'right';
  /** It has no room. */
  spills?: true;
  /** For data: which row of which column it is, both from 0 on. */
  data?: { row: number; column: number };
}

/** A table where it came to stand, with the widths of its columns and of a block of them; lengths in mm. */
export interface TableLayout extends PlacedBox<TableContent> {
  columns: number[];
  blockWidth: number;
  blocks: number;
  rows: TableRowLayout[];
  texts: TableTextLayout[];
}

/** Rows that its title takes. */
export const titled = ({ title }: TableContent): number => (title ? 1 : 0);
/** Rows that its headings take. */
export const headed = ({ heading }: TableContent): number => (heading === 'none' ? 0 : 1);
/** Blocks of its columns side by side. */
export const blocksOf = ({ beside }: TableContent): number => beside ?? 1;
