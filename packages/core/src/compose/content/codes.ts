import type { PlacedOf } from '../../layout';
import { layerName } from '../layers';
import type { DrawKind } from './kind';

/** A code as one filled area: runs of dark squares, a rectangle each. */
export const codeItems: DrawKind<PlacedOf<'code'>> = ({ squares, x, y, width, height, cell }, { standard }) => {
  if (squares.length === 0) return [];
  const square = width / squares.length;
  const rings: number[][] = [];
  squares.forEach((row, r) => {
    const top = y + height - r * square;
    for (let from = 0; from < row.length; from++) {
      if (!row[from]) continue;
      let to = from;
      while (row[to + 1]) to++;
      const [left, right] = [x + from * square, x + (to + 1) * square];
      rings.push([left, top - square, right, top - square, right, top, left, top]);
      from = to;
    }
  });
  return [{ kind: 'fill', rings, layer: layerName(standard, 'pictures'), part: 'block', cell }];
};
