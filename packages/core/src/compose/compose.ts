import type { Cell, Design } from '../design';
import { cellsOf, kindOf, NO_LINE } from '../design';
import type { Drawing, Item } from '../drawing';
import { rectPoints } from '../drawing';
import type { CellLayout, SheetLayout } from '../layout';
import type { Typefaces } from '../lettering';
import { withFallback, withFallbackRuns } from '../lettering';
import type { Values } from '../parameter';
import type { PlacedView } from '../placement';
import type { OfficeStandard } from '../standard';
import { dividerLines, edgeItems } from './cellLines';
import { boxItems, sheetTags, textItems } from './content';
import { frameItems } from './frameItems';
import { inkOf, layerName, withPatterns } from './layers';
import { looseItems } from './looseItems';
import { openingsOf, outlineItems } from './panelOutline';
import { viewItems } from './viewItems';

/** What is drawn besides the solved design. */
export interface ComposeWith {
  standard: OfficeStandard;
  typefaces: Typefaces;
  views?: readonly PlacedView[];
  /** Values that symbols follow: the north angle. */
  values?: Values;
}

/** Draws a solved sheet: the one Drawing that the screen and every file writer show. */
export function composeSheet(design: Design, layout: SheetLayout, on: ComposeWith): Drawing {
  const { standard } = on;
  const typefaces = withFallback(on.typefaces, standard.fallbackTypeface);
  const loose = layout.loose.flatMap((each) => looseItems(each, standard, typefaces));
  const items: Item[] = loose.filter(({ under }) => under);
  items.push(...frameItems(design, layout, standard, typefaces));
  const layouts = new Map(layout.cells.map((cell) => [cell.id, cell]));
  const shown: { cell: Cell; at: CellLayout; dividerPen: string }[] = [];
  for (const { panel, cell } of cellsOf(design)) {
    const at = layouts.get(cell.id);
    if (at && !layout.hidden.has(cell.id)) shown.push({ cell, at, dividerPen: panel.dividerPen });
  }
  // Grounds come first, so that lines and lettering stand on them.
  for (const { cell, at } of shown) if (cell.fill) items.push(groundItem(cell, at, standard));
  for (const panel of layout.panels) {
    // A panel that holds nothing but what brings its own outline, such as a table, has none.
    const { contents } = panel.panel.root;
    const outlined = contents.length > 0 && contents.every((content) => kindOf(content).outlined);
    if (outlined) continue;
    const gapped = shown.filter(({ at }) => at.halfGaps && at.panel === panel.id);
    const openings = gapped.flatMap(({ cell, at }) => openingsOf(cell, at, panel));
    items.push(...outlineItems(panel.panel, panel, openings, standard));
  }
  const layer = layerName(standard, 'cells');
  for (const { cell, at, dividerPen } of shown) {
    for (const { points, pen } of dividerLines(cell, at)) {
      const chosen = pen ?? dividerPen;
      if (chosen === NO_LINE) continue;
      const ink = inkOf(standard, chosen);
      items.push({ kind: 'stroke', points, closed: false, ...ink, layer, part: 'block', cell: cell.id });
    }
  }
  for (const { cell, at } of shown) {
    if (cell.edges) items.push(...edgeItems(at, cell.edges, { layer, part: 'block', cell: cell.id }, standard));
  }
  const tags = sheetTags(standard);
  const drawn = { standard, typefaces, tags, values: on.values ?? {} };
  for (const placed of layout.placed) items.push(...boxItems(placed, drawn));
  const named = new Map(layout.cells.map((cell) => [cell.id, cell.name]));
  for (const text of layout.texts) items.push(...textItems(text, standard, tags, named.get(text.cell) ?? ''));
  const titled = { standard, typefaces, unit: layout.unit, sheet: on.values?.['sheet.number'] ?? '' };
  for (const view of on.views ?? []) items.push(...viewItems(view, titled));
  items.push(...loose.filter(({ under }) => !under));
  return {
    width: layout.sheet.width,
    height: layout.sheet.height,
    items: withPatterns(items, standard).map((item) =>
      item.kind === 'text' ? withFallbackRuns(item, standard.fallbackTypeface, on.typefaces) : item,
    ),
  };
}

function groundItem(cell: Cell, at: CellLayout, standard: OfficeStandard): Item {
  return {
    kind: 'fill',
    rings: [rectPoints(at)],
    layer: layerName(standard, 'cells'),
    part: 'block',
    cell: cell.id,
    ...(cell.fill ? { colour: cell.fill } : {}),
  };
}
