import type { Item } from '../../drawing';
import type { PlacedOf } from '../../layout';
import { roleOf } from '../../standard';
import { inkOf, layerName } from '../layers';
import type { DrawKind } from './kind';
import { wordsItem } from './words';

/** The parts of an outline, those that are marked filled, then its lines and the names over them. */
export const keyPlanItems: DrawKind<PlacedOf<'keyPlan'>> = ({ content, cell, parts, lines, names }, { standard }) => {
  const base = { part: 'block', cell, layer: layerName(standard, 'pictures') } as const;
  const ink = inkOf(standard, content.pen);
  const role = content.role === undefined ? undefined : roleOf(standard, content.role);
  return [
    ...parts
      .filter(({ marked }) => marked)
      .map(({ ring }): Item => ({ ...base, kind: 'fill', rings: [ring], colour: content.fill })),
    ...parts.map(({ ring }): Item => ({ ...base, kind: 'stroke', points: ring, closed: true, ...ink })),
    ...lines.map((points): Item => ({ ...base, kind: 'stroke', points, closed: false, ...ink })),
    ...(role ? names.map((each) => wordsItem(each, role, cell, standard)) : []),
  ];
};
