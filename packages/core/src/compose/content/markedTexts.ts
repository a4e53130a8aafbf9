import type { Item } from '../../drawing';
import type { TextLayout } from '../../layout';
import type { OfficeStandard } from '../../standard';
import { penWidth, roleOf } from '../../standard';
import { colourOf, layerName } from '../layers';

/** How far under the base line a line under words runs, and how thick it is at most, as parts of the height of capitals. */
const UNDER = { distance: 0.25, thickness: 0.1 } as const;

/** A text in which words stand out: each part of a line as an item of its own, with the line under it where it has one. */
export function markedItems(text: TextLayout, standard: OfficeStandard): Item[] {
  const plain = roleOf(standard, text.role);
  const strong = text.strong === undefined ? undefined : roleOf(standard, text.strong);
  const layer = layerName(standard, 'captions');
  const turn = (text.rotation * Math.PI) / 180;
  const [c, s] = [Math.cos(turn), Math.sin(turn)];
  return text.lines.flatMap((line, i) =>
    (line.segments ?? []).flatMap((segment): Item[] => {
      const role = (segment.strong ? strong : undefined) ?? plain;
      const at = (along: number, up: number): [number, number] => [
        line.x + along * c - up * s,
        line.y + along * s + up * c,
      ];
      const [x, y] = at(segment.x, 0);
      const within = {
        text: text.content,
        line: i,
        ...(segment.label ? { label: true as const } : {}),
        ...(segment.tab ? { tab: true as const } : {}),
        ...(segment.underlined ? { underlined: true as const } : {}),
      };
      const base = { within, layer, part: 'block', cell: text.cell, ...colourOf(standard, role?.pen ?? '') } as const;
      const words: Item = {
        ...base,
        kind: 'text',
        text: segment.text,
        at: { x, y },
        height: text.height,
        width: segment.width,
        widthFactor: role?.widthFactor ?? 1,
        rotation: text.rotation,
        typeface: role?.typeface ?? '',
        role: role?.id ?? text.role,
      };
      if (!segment.underlined) return [words];
      const under = -UNDER.distance * text.height;
      const points = [...at(segment.x, under), ...at(segment.x + segment.width, under)];
      const width = Math.min(penWidth(standard, role?.pen ?? ''), UNDER.thickness * text.height);
      return [words, { ...base, kind: 'stroke', points, closed: false, width }];
    }),
  );
}
