import type { Item } from '../drawing';
import { rectPoints } from '../drawing';
import type { LooseLayout } from '../layout';
import type { Typefaces } from '../lettering';
import { textWidth } from '../lettering';
import type { OfficeStandard } from '../standard';
import { roleOf } from '../standard';
import { drawnPicture } from './content/pictures';
import { colourOf, inkOf, layerName, opacityOf } from './layers';

/** A free line, rectangle, stamp or picture as drawn. */
export function looseItems(at: LooseLayout, standard: OfficeStandard, typefaces: Typefaces): Item[] {
  if (at.kind === 'picture') return drawnPicture(at.loose, at.place, standard, underOf(at.loose));
  if (at.kind === 'stamp') {
    const look = { ...underOf(at.loose), ...opacityOf(at.loose) };
    return stampItems(at, standard, typefaces).map((item) => ({ ...item, ...look }));
  }
  const base = { layer: layerName(standard, 'cells'), part: 'block', ...inkOf(standard, at.loose.pen) } as const;
  const { from, to } = at;
  if (at.kind === 'line') {
    return [{ ...base, kind: 'stroke', points: [from.x, from.y, to.x, to.y], closed: false }];
  }
  const rect = {
    x: Math.min(from.x, to.x),
    y: Math.min(from.y, to.y),
    width: Math.abs(to.x - from.x),
    height: Math.abs(to.y - from.y),
  };
  return [{ ...base, kind: 'stroke', points: rectPoints(rect), closed: true }];
}

const underOf = ({ under }: { under?: true | undefined }): { under?: true } => (under ? { under } : {});

function stampItems(
  { loose, at, text }: Extract<LooseLayout, { kind: 'stamp' }>,
  standard: OfficeStandard,
  typefaces: Typefaces,
): Item[] {
  const role = roleOf(standard, loose.role);
  const typeface = role && typefaces.get(role.typeface);
  if (!role || !typeface) return [];
  const words = role.capitals ? text.toUpperCase() : text;
  const width = textWidth(typeface, words, role.height, role.widthFactor);
  const turn = (loose.angle * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  /** A point in reading direction from the stamp's middle, on paper. */
  const on = (along: number, up: number): [number, number] => [at.x + along * c - up * s, at.y + along * s + up * c];
  const [x, y] = on(-width / 2, -role.height / 2);
  const colour = colourOf(standard, role.pen);
  const items: Item[] = [
    {
      kind: 'text',
      text: words,
      at: { x, y },
      height: role.height,
      width,
      widthFactor: role.widthFactor,
      rotation: loose.angle,
      typeface: role.typeface,
      role: role.id,
      ...colour,
      layer: layerName(standard, 'captions'),
      part: 'block',
    },
  ];
  if (loose.boxed) {
    const [half, tall] = [width / 2 + role.height * 0.6, role.height];
    const points = [on(-half, -tall), on(half, -tall), on(half, tall), on(-half, tall)].flat();
    const ink = inkOf(standard, role.pen);
    items.push({ kind: 'stroke', points, closed: true, ...ink, layer: layerName(standard, 'captions'), part: 'block' });
  }
  return items;
}
