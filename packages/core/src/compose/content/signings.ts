import type { Item } from '../../drawing';
import type { PlacedOf } from '../../layout';
import { roleOf } from '../../standard';
import { inkOf, layerName } from '../layers';
import type { DrawKind } from './kind';
import { wordsItem } from './words';

/** A line over its words, or a circle around them. */
export const signingItems: DrawKind<PlacedOf<'signing'>> = (placed, { standard }) => {
  const { content, cell, x, y, width, height, size, words } = placed;
  const base = { part: 'block', cell, layer: layerName(standard, 'cells'), ...inkOf(standard, content.pen) } as const;
  const radius = size / 2;
  const top = y + height;
  const drawn: Item =
    content.form === 'circle'
      ? { ...base, kind: 'arc', centre: { x: x + radius, y: y + radius }, radius, from: 0, to: 360 }
      : { ...base, kind: 'stroke', points: [x, top, x + width, top], closed: false };
  const role = roleOf(standard, content.role);
  return role && words.text !== '' ? [drawn, wordsItem(words, role, cell, standard)] : [drawn];
};
