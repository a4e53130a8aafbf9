import type { Item } from '../drawing';
import type { Typefaces } from '../lettering';
import { textWidth } from '../lettering';
import type { PlacedView } from '../placement';
import type { OfficeStandard } from '../standard';
import { penFor } from '../standard';
import { colourOf, inkOf, layerName } from './layers';

/** Length in mm of the corner brackets that stand for a view whose own drawing is not available. */
const BRACKET = 8;
/** From what a view shows to the line over its name, and the least length of that line, in mm. */
const TITLE_GAP = 2;
const TITLE_LINE = 60;

/** A placed view: its drawing, or brackets at its corners where it has none, with its name and its scale under it. */
export function viewItems(placed: PlacedView, standard: OfficeStandard, typefaces: Typefaces): Item[] {
  const layer = layerName(standard, 'views');
  const ink = inkOf(standard, penFor(standard, 'fine').id);
  const arm = Math.min(BRACKET, placed.width / 3, placed.height / 3);
  const items: Item[] = [];
  const role = standard.roles.find((each) => each.use === 'value');
  const { x, y, width, height, view } = placed;
  if (view.drawing) {
    const { linework, unit, hidden = [], ...from } = view.drawing;
    items.push({
      kind: 'piece',
      name: view.name,
      linework,
      ...{ x, y, width, height },
      from: { x: from.x, y: from.y },
      perUnit: (width / view.realWidth) * unit,
      hidden,
      typeface: role?.typeface ?? '',
      least: ink.width,
      layer,
      part: 'view',
    });
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
  const typeface = role && typefaces.get(role.typeface);
  if (role && typeface) {
    const words = `${placed.number}  ${view.name}  ${view.scale ?? standard.wording.notToScale}`;
    const length = textWidth(typeface, words, role.height, role.widthFactor);
    // Between its corners where it is empty; under a line below what it shows.
    const drawn = view.drawing !== undefined;
    const at = drawn ? { x, y: y - TITLE_GAP - 1.6 * role.height } : { x: x + arm + 2, y: y - role.height / 2 };
    if (drawn) {
      const points = [x, y - TITLE_GAP, x + Math.min(width, Math.max(length, TITLE_LINE)), y - TITLE_GAP];
      items.push({ kind: 'stroke', points, closed: false, ...ink, layer, part: 'view' });
    }
    items.push({
      kind: 'text',
      text: words,
      at,
      height: role.height,
      width: length,
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
