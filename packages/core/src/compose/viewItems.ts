import type { Item } from '../drawing';
import type { Typefaces } from '../lettering';
import { textWidth } from '../lettering';
import type { PlacedView } from '../placement';
import type { OfficeStandard } from '../standard';
import { penFor } from '../standard';
import { colourOf, inkOf, layerName } from './layers';

/** Length in mm of the corner brackets that stand for a view whose own drawing is not available. */
const BRACKET = 8;

/** A placed view: brackets at its corners, its name and its scale under it. */
export function viewItems(placed: PlacedView, standard: OfficeStandard, typefaces: Typefaces): Item[] {
  const layer = layerName(standard, 'views');
  const ink = inkOf(standard, penFor(standard, 'fine').id);
  const arm = Math.min(BRACKET, placed.width / 3, placed.height / 3);
  const items: Item[] = [];
  for (const [x, sx] of [
    [placed.x, 1],
    [placed.x + placed.width, -1],
  ] as const) {
    for (const [y, sy] of [
      [placed.y, 1],
      [placed.y + placed.height, -1],
    ] as const) {
      const points = [x + sx * arm, y, x, y, x, y + sy * arm];
      items.push({ kind: 'stroke', points, closed: false, ...ink, layer, part: 'view' });
    }
  }
  const role = standard.roles.find((each) => each.use === 'value');
  const typeface = role && typefaces.get(role.typeface);
  if (role && typeface) {
    const words = `${placed.module}  ${placed.view.name}  ${placed.view.scale ?? standard.wording.notToScale}`;
    items.push({
      kind: 'text',
      text: words,
      at: { x: placed.x + arm + 2, y: placed.y - role.height / 2 },
      height: role.height,
      width: textWidth(typeface, words, role.height, role.widthFactor),
      widthFactor: role.widthFactor,
      rotation: 0,
      typeface: role.typeface,
      role: role.id,
      ...colourOf(standard, role.pen),
      layer,
      part: 'view',
    });
  }
  return items;
}
