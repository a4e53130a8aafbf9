import type { Item } from '../drawing';
import { textWidth } from '../lettering';
import type { PlacedView } from '../placement';
import { penFor, roleFor } from '../standard';
import { inkOf, layerName } from './layers';
import { roleText } from './roleText';
import type { TitledOn } from './viewTitle';

/** Dash and gap of the outline of a part, and from it to its number, in mm. */
const DASHES = [4, 2];
const GAP = 1;

/** The outlines of what is drawn larger elsewhere, each with the number that it has there. */
export function partItems(placed: PlacedView, { standard, typefaces, unit }: TitledOn): Item[] {
  const { view, x, y, width, parts = [] } = placed;
  const { drawing } = view;
  if (!drawing) return [];
  const perUnit = (width / view.realWidth) * drawing.unit;
  const layer = layerName(standard, 'views');
  const ink = inkOf(standard, penFor(standard, 'fine').id);
  const role = roleFor(standard, 'value', unit);
  const typeface = typefaces.get(role.typeface);
  return parts.flatMap(({ ring, words }): Item[] => {
    const points = ring.map((at, i) => (i % 2 === 0 ? x + (at - drawing.x) * perUnit : y + (at - drawing.y) * perUnit));
    const outline: Item = { kind: 'stroke', points, closed: true, dashes: DASHES, ...ink, layer, part: 'view' };
    if (!typeface) return [outline];
    const left = Math.min(...points.filter((_at, i) => i % 2 === 0));
    const upper = Math.max(...points.filter((_at, i) => i % 2 === 1));
    const long = textWidth(typeface, words, role.height, role.widthFactor);
    const line = { text: words, x: left, y: upper + GAP, width: long };
    return [outline, roleText(line, role, { layer, part: 'view' }, standard)];
  });
}
