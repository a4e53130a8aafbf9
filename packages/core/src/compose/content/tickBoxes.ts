import { NO_LINE } from '../../design';
import type { Item } from '../../drawing';
import type { PlacedOf } from '../../layout';
import { penFor, roleOf } from '../../standard';
import { inkOf, layerName } from '../layers';
import type { DrawKind } from './kind';
import { wordsItem } from './words';

/** How far the strokes of a tick stay away from their box, as a part of its side. */
const INSET = 0.18;

/** Tick boxes as squares, the ticked one crossed, each with its words. */
export const tickBoxItems: DrawKind<PlacedOf<'ticks'>> = ({ content, cell, side, boxes }, { standard }) => {
  const base = { part: 'block', cell } as const;
  // A tick is seen even where a document asks for boxes without lines.
  const outlined = content.pen !== NO_LINE;
  const ink = inkOf(standard, outlined ? content.pen : penFor(standard, 'fine').id);
  const lines = layerName(standard, 'cells');
  const marks = layerName(standard, 'values');
  const role = roleOf(standard, content.role);
  return boxes.flatMap(({ x, y, ticked, words }): Item[] => {
    const stroke = (points: number[], closed: boolean, layer: string): Item => ({
      ...base,
      kind: 'stroke',
      points,
      closed,
      ...ink,
      layer,
    });
    const items = outlined ? [stroke([x, y, x + side, y, x + side, y + side, x, y + side], true, lines)] : [];
    if (ticked) {
      const [left, right] = [x + INSET * side, x + (1 - INSET) * side];
      const [low, high] = [y + INSET * side, y + (1 - INSET) * side];
      items.push(stroke([left, low, right, high], false, marks), stroke([left, high, right, low], false, marks));
    }
    if (role && words.text !== '') items.push(wordsItem(words, role, cell, standard));
    return items;
  });
};
