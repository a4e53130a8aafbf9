import type { Item } from '../../drawing';
import type { PlacedOf } from '../../layout';
import { roleOf } from '../../standard';
import { layerName } from '../layers';
import type { DrawKind } from './kind';
import { wordsItem } from './words';

/** Bars as one filled area, a rectangle each, over their words. */
export const barCodeItems: DrawKind<PlacedOf<'barCode'>> = (placed, { standard }) => {
  const { content, cell, steps, x, y, width, height, bars, words } = placed;
  if (steps.length === 0) return [];
  const step = width / steps.length;
  const [low, high] = [y + height - bars, y + height];
  const rings: number[][] = [];
  for (let from = 0; from < steps.length; from++) {
    if (!steps[from]) continue;
    let to = from;
    while (steps[to + 1]) to++;
    const [left, right] = [x + from * step, x + (to + 1) * step];
    rings.push([left, low, right, low, right, high, left, high]);
    from = to;
  }
  const fill: Item = { kind: 'fill', rings, layer: layerName(standard, 'pictures'), part: 'block', cell };
  const role = content.role === undefined ? undefined : roleOf(standard, content.role);
  return role && words.text !== '' ? [fill, wordsItem(words, role, cell, standard)] : [fill];
};
