import type { Item, PieceItem, PiecePen } from '../drawing';
import type { PlacedView } from '../placement';
import { outlineOnPaper } from '../sourceDrawing';
import type { OfficeStandard } from '../standard';
import { penFor } from '../standard';
import { inkOf, layerName } from './layers';
import { partItems } from './partMarks';
import type { TitledOn } from './viewTitle';
import { titleItems } from './viewTitle';

/** Length in mm of the corner brackets that stand for a view whose own drawing is not available. */
const BRACKET = 8;

/** What the texts of views' drawings are lettered in. */
export type LetteringOfViews = Pick<PieceItem, 'typeface' | 'fallback'>;

/** The typeface of values, and the one that letters come from which it lacks. */
export const letteringOfViews = ({
  roles,
  fallbackTypeface,
}: Pick<OfficeStandard, 'roles' | 'fallbackTypeface'>): LetteringOfViews => ({
  typeface: roles.find((each) => each.use === 'value')?.typeface ?? '',
  ...(fallbackTypeface === undefined ? {} : { fallback: fallbackTypeface }),
});

/** A placed view: its drawing, or brackets at its corners where it has none, with its title under it. */
export function viewItems(placed: PlacedView, on: TitledOn): Item[] {
  const { standard } = on;
  const layer = layerName(standard, 'views');
  const ink = inkOf(standard, penFor(standard, 'fine').id);
  const arm = Math.min(BRACKET, placed.width / 3, placed.height / 3);
  const items: Item[] = [];
  const { x, y, width, height, view } = placed;
  if (view.drawing) {
    const { linework, unit, hidden = [], pens: own = {}, outline, ...from } = view.drawing;
    const pens: PiecePen[] = [
      ...Object.entries(own).map(([layers, pen]) => ({ layers, ...inkOf(standard, pen) })),
      ...(standard.drawingPens ?? []).map(({ layers, weight, colour: was, pen }) => ({
        layers,
        ...(weight === undefined ? {} : { weight }),
        ...(was === undefined ? {} : { was }),
        ...inkOf(standard, pen),
      })),
    ];
    const piece: PieceItem = {
      kind: 'piece',
      name: view.name,
      linework,
      ...{ x, y, width, height },
      from: { x: from.x, y: from.y },
      perUnit: (width / view.realWidth) * unit,
      hidden,
      ...letteringOfViews(standard),
      least: ink.width,
      ...(pens.length > 0 ? { pens } : {}),
      ...(outline === undefined ? {} : { outline }),
      layer,
      part: 'view',
    };
    items.push(piece);
    // What is cut out of a drawing other than straight has its edge drawn.
    const edge = outlineOnPaper(piece);
    if (edge) items.push({ kind: 'stroke', points: edge, closed: true, ...ink, layer, part: 'view' });
  } else {
    for (const [cornerX, sx] of [
      [x, 1],
      [x + width, -1],
    ] as const) {
      for (const [cornerY, sy] of [
        [y, 1],
        [y + height, -1],
      ] as const) {
        const points = [cornerX + sx * arm, cornerY, cornerX, cornerY, cornerX, cornerY + sy * arm];
        items.push({ kind: 'stroke', points, closed: false, ...ink, layer, part: 'view' });
      }
    }
  }
  items.push(...partItems(placed, on), ...titleItems(placed, on));
  return items;
}
