import type { Item } from '../../drawing';
import type { PlacedOf } from '../../layout';
import { penFor, roleOf } from '../../standard';
import { inkOf, layerName } from '../layers';
import type { DrawKind } from './kind';
import { wordsItem } from './words';

/** Fields of equal length, every other one filled, with figures at their ends. */
export const scaleBarItems: DrawKind<PlacedOf<'scaleBar'>> = (placed, { standard }) => {
  const { content, cell, from, y, field, fields, bar, figures } = placed;
  const base = { part: 'block', cell, layer: layerName(standard, 'pictures') } as const;
  const ink = inkOf(standard, penFor(standard, 'fine').id);
  const items = Array.from({ length: fields }, (_, i): Item => {
    const [left, right] = [from + i * field, from + (i + 1) * field];
    const corners = [left, y, right, y, right, y + bar, left, y + bar];
    return i % 2 === 0
      ? { ...base, kind: 'fill', rings: [corners] }
      : { ...base, kind: 'stroke', points: corners, closed: true, ...ink };
  });
  const role = roleOf(standard, content.role);
  return role ? [...items, ...figures.map((each) => wordsItem(each, role, cell, standard))] : items;
};
