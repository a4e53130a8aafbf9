import type { Panel } from '../design';
import type { Rect } from '../geometry';
import { amountInWords } from '../quantity';
import { anchorPoint } from './loose';
import type { Measures } from './measures';
import { LayoutError } from './measures';
import type { SheetLayout } from './sheetLayout';

/** Gives a panel its place; panels at an edge take it away from the drawing area. @throws LayoutError for no size */
export function dockPanel(panel: Panel, layout: SheetLayout, measures: Measures): Rect {
  // What lies over the sheet stands against the frame, whatever other panels have taken of it.
  const area = panel.overlay ? layout.frame : layout.drawingArea;
  const of = (key: 'x' | 'y' | 'width' | 'height' | 'distance', otherwise: number): number => {
    const text = panel[key];
    return text === undefined ? otherwise : measures.length(text, () => `${panel.id}.${key}`);
  };
  const edge = panel.dock === 'left' || panel.dock === 'right' || panel.dock === 'top' || panel.dock === 'bottom';
  const alongX = panel.dock === 'top' || panel.dock === 'bottom';
  const distance = panel.dock === 'floating' ? 0 : of('distance', 0);
  if (distance < 0) throw new LayoutError(`${panel.id}.distance`, `"${panel.distance}" comes to less than zero`);
  const width = edge && alongX ? area.width - 2 * distance : of('width', area.width);
  const height = edge && !alongX ? area.height - 2 * distance : of('height', area.height);
  if (width <= 0 || height <= 0) {
    throw new LayoutError(
      panel.id,
      `${panel.name} comes to ${width.toFixed(1)} x ${height.toFixed(1)} mm; both must be more than zero`,
    );
  }
  const over = Math.max(width + distance - area.width, height + distance - area.height);
  // What floats or lies over the sheet asks nothing of the drawing area.
  if (over > 0.001 && panel.dock !== 'floating' && !panel.overlay) {
    layout.findings.push({
      kind: 'room',
      weight: 'error',
      message: `${panel.name} needs ${amountInWords(over, layout.unit)} more than ${layout.sheet.name} has`,
      where: { panel: panel.id },
      by: over,
      mend: 'give the panel its own size for this sheet, or leave the sheet size out of the design',
    });
  }
  if (panel.dock === 'floating') {
    const anchor = panel.anchor ?? 'lower-left';
    const own = anchorPoint({ x: 0, y: 0, width, height }, anchor);
    const at = anchorPoint(layout.frame, anchor);
    const rect = { x: at.x + of('x', 0) - own.x, y: at.y + of('y', 0) - own.y, width, height };
    if (!panel.overlay) layout.claimed.push({ ...rect, name: panel.name });
    noteOutside(panel, rect, layout);
    return rect;
  }
  const atRight = panel.dock === 'right' || panel.dock.endsWith('-right');
  const atTop = panel.dock === 'top' || panel.dock.startsWith('upper');
  const rect = {
    x: atRight ? area.x + area.width - distance - width : area.x + distance,
    y: atTop ? area.y + area.height - distance - height : area.y + distance,
    width,
    height,
  };
  noteOutside(panel, rect, layout);
  if (panel.overlay) return rect;
  if (!edge) {
    if (panel.leaves === 'rectangle') layout.drawingArea = besideCorner(area, rect, { atRight, atTop });
    else layout.claimed.push({ ...rect, name: panel.name });
  } else if (alongX) {
    const taken = height + distance;
    layout.drawingArea = { ...area, height: area.height - taken, y: atTop ? area.y : area.y + taken };
  } else {
    const taken = width + distance;
    layout.drawingArea = { ...area, width: area.width - taken, x: atRight ? area.x : area.x + taken };
  }
  return rect;
}

/** The larger of the two rectangles that a panel in a corner leaves: beside it over the whole height, or over or under it. */
function besideCorner(area: Rect, panel: Rect, { atRight, atTop }: { atRight: boolean; atTop: boolean }): Rect {
  const across = atRight ? panel.x - area.x : area.x + area.width - panel.x - panel.width;
  const along = atTop ? panel.y - area.y : area.y + area.height - panel.y - panel.height;
  const beside: Rect = { ...area, x: atRight ? area.x : panel.x + panel.width, width: Math.max(0, across) };
  const over: Rect = { ...area, y: atTop ? area.y : panel.y + panel.height, height: Math.max(0, along) };
  return beside.width * beside.height > over.width * over.height ? beside : over;
}

/** A panel that leaves the sheet is said; what is off the paper is not printed. */
function noteOutside(panel: Panel, rect: Rect, layout: SheetLayout): void {
  const { sheet } = layout;
  const out = Math.max(-rect.x, -rect.y, rect.x + rect.width - sheet.width, rect.y + rect.height - sheet.height);
  if (out <= 0.001) return;
  layout.findings.push({
    kind: 'room',
    weight: 'error',
    message: `${panel.name} reaches ${amountInWords(out, layout.unit)} beyond the edge of ${sheet.name}`,
    where: { panel: panel.id },
    by: out,
    mend: `move it ${amountInWords(out, layout.unit)} inwards, or make it smaller`,
  });
}
