import type { Design } from '../design';
import { cellsOf } from '../design';
import type { Drawing, Item } from '../drawing';
import { rectPoints } from '../drawing';
import type { SheetLayout } from '../layout';
import type { Typefaces } from '../lettering';
import type { PlacedView } from '../placement';
import type { OfficeStandard } from '../standard';
import { dividerLines } from './cellLines';
import type { TableRows } from './contentItems';
import { fieldTags, pictureItems, tableItems, textItems } from './contentItems';
import { frameItems } from './frameItems';
import { inkOf, layerName, withPatterns } from './layers';
import { viewItems } from './viewItems';

/** What is drawn besides the solved design. */
export interface ComposeWith {
  standard: OfficeStandard;
  typefaces: Typefaces;
  tables?: TableRows;
  views?: readonly PlacedView[];
}

/** Draws a solved sheet: the one Drawing that the screen and every file writer show. */
export function composeSheet(design: Design, layout: SheetLayout, on: ComposeWith): Drawing {
  const { standard, typefaces } = on;
  const items: Item[] = frameItems(design, layout, standard, typefaces);
  const cellLayer = layerName(standard, 'cells');
  for (const panel of layout.panels) {
    // A table brings its own outline, so a panel that holds nothing but tables has none.
    const onlyTables =
      panel.panel.root.contents.length > 0 && panel.panel.root.contents.every((c) => c.kind === 'table');
    if (onlyTables) continue;
    items.push({
      kind: 'stroke',
      points: rectPoints(panel),
      closed: true,
      ...inkOf(standard, panel.panel.outlinePen),
      layer: cellLayer,
      part: 'block',
      cell: panel.panel.root.id,
    });
  }
  const layouts = new Map(layout.cells.map((cell) => [cell.id, cell]));
  for (const { panel, cell } of cellsOf(design)) {
    const at = layouts.get(cell.id);
    if (!at || layout.hidden.has(cell.id)) continue;
    const ink = inkOf(standard, panel.dividerPen);
    for (const points of dividerLines(cell, at)) {
      items.push({ kind: 'stroke', points, closed: false, ...ink, layer: cellLayer, part: 'block', cell: cell.id });
    }
  }
  for (const picture of layout.pictures) items.push(...pictureItems(picture, standard));
  for (const table of layout.tables) items.push(...tableItems(table, on.tables ?? {}, standard, typefaces));
  const tagFor = fieldTags(standard);
  for (const text of layout.texts) items.push(...textItems(text, standard, tagFor));
  for (const view of on.views ?? []) items.push(...viewItems(view, standard, typefaces));
  return { width: layout.sheet.width, height: layout.sheet.height, items: withPatterns(items, standard) };
}
