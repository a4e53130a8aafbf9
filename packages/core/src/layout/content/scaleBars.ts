import type { ScaleBar } from '../../design';
import { textWidth } from '../../lettering';
import type { BarOfScale } from '../../quantity';
import { barOfScale, readScale } from '../../quantity';
import type { BoxKind, Measuring, PlacedBox, Room } from './kind';
import { missingValues } from './missingValues';
import { tooLarge } from './tooLarge';
import { unknownRoles } from './unknownRoles';
import { within } from './within';

/** A figure over the bar, its start and width in mm on paper. */
export interface BarFigure {
  text: string;
  x: number;
  y: number;
  width: number;
}

/** A scale bar where it came to stand; without fields where the sheet has no scale. */
export interface ScaleBarLayout extends PlacedBox<ScaleBar> {
  /** Where the bar itself begins; its base is the box's. */
  from: number;
  field: number;
  fields: number;
  /** Height of the bar without its figures. */
  bar: number;
  figures: BarFigure[];
}

/** From the bar to the figures over it, as a part of their height. */
const UNDER_FIGURES = 0.5;
/** Figures keep this distance from each other, as a part of their height; where they cannot, only the first and last stand. */
const BETWEEN_FIGURES = 0.6;

type Drawn = Pick<ScaleBarLayout, 'from' | 'field' | 'fields' | 'bar' | 'figures'> & { width: number; height: number };

const NOTHING: Drawn = { from: 0, field: 0, fields: 0, bar: 0, figures: [], width: 0, height: 0 };

/** The bar from 0, 0 for the scale in hand. */
function drawn(content: ScaleBar, { setting, length }: Measuring): Drawn {
  const scale = readScale(setting.values[content.parameter] ?? '');
  const longest = length(content.length);
  const bar = length(content.height);
  if (!scale || longest <= 0) return NOTHING;
  const { field, fields, figures } = barOfScale(scale, longest);
  const role = setting.standard.roles.find((each) => each.id === content.role);
  const typeface = role && setting.typefaces.get(role.typeface);
  if (!role || !typeface) return { ...NOTHING, field, fields, bar, width: field * fields, height: bar };
  const widthOf = (text: string): number => textWidth(typeface, text, role.height, role.widthFactor);
  const shown = shownFigures(figures, field, widthOf, BETWEEN_FIGURES * role.height);
  const base = bar + UNDER_FIGURES * role.height;
  const [first, last] = [shown[0], shown[shown.length - 1]];
  const from = (first?.width ?? 0) / 2;
  return {
    from,
    field,
    fields,
    bar,
    figures: shown.map(({ text, at, width }) => ({ text, x: from + at * field - width / 2, y: base, width })),
    width: from + fields * field + (last?.width ?? 0) / 2,
    height: base + role.height,
  };
}

/** All figures, or the first and the last one where the others have no room. */
function shownFigures(
  figures: BarOfScale['figures'],
  field: number,
  widthOf: (text: string) => number,
  between: number,
): { text: string; at: number; width: number }[] {
  const all = figures.map((text, at) => ({ text, at, width: widthOf(text) }));
  const close = all.some(({ width }, i) => {
    const next = all[i + 1];
    return next !== undefined && width / 2 + next.width / 2 + between > field;
  });
  return close ? all.filter((_, i) => i === 0 || i === all.length - 1) : all;
}

/** The parameter of the scale where it has no value. */
const withoutValue = ({ parameter }: ScaleBar, { setting }: Room): { missing: string[]; spared: string[] } => ({
  missing: (setting.values[parameter] ?? '') === '' ? [parameter] : [],
  spared: [],
});

/** A scale bar is as long as round figures allow, at the scale that the sheet has. */
export const scaleBars: BoxKind<ScaleBar, ScaleBarLayout> = {
  extent: (content, by) => {
    const { width, height } = drawn(content, by);
    return { width, height };
  },
  lay: (content, room) => {
    const { cell, inner } = room;
    const { figures, from, field, fields, bar, ...extent } = drawn(content, room);
    const at = within(inner, extent, content);
    const placed: ScaleBarLayout = {
      cell: cell.id,
      content,
      ...at,
      from: at.x + from,
      field,
      fields,
      bar,
      figures: figures.map((each) => ({ ...each, x: at.x + each.x, y: at.y + each.y })),
    };
    return {
      placed,
      findings: [
        // A sheet of several scales rightly has no bar; one without a value does not say so.
        ...missingValues(content.id, 'the scale bar', withoutValue(content, room), room),
        ...unknownRoles([content.role], room, content.id, 'the scale bar'),
        ...tooLarge(
          extent,
          inner,
          room,
          content.id,
          'the scale bar',
          (by) => `let the scale bar be ${by} shorter, or make the cell larger`,
        ),
      ],
    };
  },
  inOverlaps: () => 'the scale bar',
};
