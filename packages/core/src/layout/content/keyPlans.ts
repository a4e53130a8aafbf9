import polylabel from 'polylabel';
import type { Finding } from '../../check';
import type { KeyPlan } from '../../design';
import { textWidth } from '../../lettering';
import type { Outline } from '../../outline';
import { EXAMPLE_OUTLINE, markedNames, readOutlineValue, sameName } from '../../outline';
import { parametersOf } from '../../standard';
import type { BoxKind, Measuring, PlacedBox, Room } from './kind';
import { missingInWords } from './missingLetters';
import { missingValues } from './missingValues';
import { unknownRoles } from './unknownRoles';
import { within } from './within';

/** A part on paper: its corners in mm, and whether it is what the sheet shows. */
export interface KeyPlanPart {
  ring: number[];
  marked: boolean;
}

/** A name that stands in its part, its start and width in mm. */
export interface PartName {
  text: string;
  x: number;
  y: number;
  width: number;
}

/** A key plan where it came to stand; without parts where the project has no outline. */
export interface KeyPlanLayout extends PlacedBox<KeyPlan> {
  parts: KeyPlanPart[];
  lines: number[][];
  names: PartName[];
}

/** Longer side of an outline for which a cell asks nothing by itself, in mm; common practice on sheets. */
const NATURAL_SIDE = 40;
/** How exactly the middle of a part is found, in units of an outline. */
const EXACTNESS = 2;

const outlineIn = ({ outline }: KeyPlan, { setting }: Measuring): Outline | undefined =>
  readOutlineValue(setting.values[outline] ?? '');

/** The place that is furthest from the edges of a part, which is where its name goes. */
function middleOf(ring: readonly number[]): { x: number; y: number; reach: number } {
  const corners = Array.from({ length: ring.length / 2 }, (_, i) => [ring[2 * i] ?? 0, ring[2 * i + 1] ?? 0]);
  const found = polylabel([corners], EXACTNESS);
  return { x: found[0] ?? 0, y: found[1] ?? 0, reach: found.distance };
}

/** The names of parts that have room for theirs. */
function names({ parts }: Outline, scale: number, content: KeyPlan, { setting }: Measuring): PartName[] {
  const role = setting.standard.roles.find(({ id }) => id === content.role);
  const typeface = role && setting.typefaces.get(role.typeface);
  if (!role || !typeface) return [];
  return parts.flatMap(({ name, ring }) => {
    const { x, y, reach } = middleOf(ring);
    const width = textWidth(typeface, name, role.height, role.widthFactor);
    if (Math.hypot(width, role.height) / 2 > reach * scale) return [];
    return [{ text: name, x: x * scale - width / 2, y: y * scale - role.height / 2, width }];
  });
}

/** What is said where a sheet names a part that the outline does not have. */
function unknownParts(content: KeyPlan, outline: Outline | undefined, { cell, setting }: Room): Finding[] {
  const value = setting.values[content.marks] ?? '';
  // The example of a try-on has none of the parts that projects have.
  const example = setting.values[content.outline] === EXAMPLE_OUTLINE;
  if (!outline || value === '' || example) return [];
  const known = new Set(outline.parts.map(({ name }) => sameName(name)));
  const unknown = markedNames(value).filter((name) => !known.has(sameName(name)));
  if (unknown.length === 0) return [];
  const all = outline.parts.map(({ name }) => name).join(', ');
  const parameter = parametersOf(setting.standard).get(content.marks)?.name ?? content.marks;
  return [
    {
      kind: 'unknown',
      weight: 'error',
      message: `${parameter} is “${value}”, and the key plan has no part ${unknown.join(' or ')}`,
      where: { cell: cell.id, content: content.id, parameter: content.marks },
      mend: all === '' ? 'give the parts of the key plan names' : `enter one of ${all}, or several with commas`,
    },
  ];
}

/** What is said of a parameter that is no outline. */
function noOutline(content: KeyPlan, { cell, setting }: Room): Finding[] {
  const parameter = parametersOf(setting.standard).get(content.outline);
  if (!parameter || parameter.kind === 'outline') return [];
  return [
    {
      kind: 'unknown',
      weight: 'error',
      message: `${parameter.name} is no outline`,
      where: { cell: cell.id, content: content.id, parameter: content.outline },
      mend: 'choose another parameter for the key plan',
    },
  ];
}

/** The parameters of a key plan that have no value. */
const withoutValue = ({ outline, marks }: KeyPlan, { setting }: Room): { missing: string[]; spared: string[] } => ({
  missing: [outline, marks].filter((key) => (setting.values[key] ?? '') === ''),
  spared: [],
});

/** A key plan is as large as goes into its cell. */
export const keyPlans: BoxKind<KeyPlan, KeyPlanLayout> = {
  extent: (content, by) => {
    const outline = outlineIn(content, by);
    if (!outline) return { width: NATURAL_SIDE, height: NATURAL_SIDE };
    const scale = NATURAL_SIDE / Math.max(outline.width, outline.height);
    return { width: outline.width * scale, height: outline.height * scale };
  },
  lay: (content, room) => {
    const { cell, inner, setting } = room;
    const outline = outlineIn(content, room);
    const scale = outline ? Math.max(0, Math.min(inner.width / outline.width, inner.height / outline.height)) : 0;
    const extent = { width: (outline?.width ?? 0) * scale, height: (outline?.height ?? 0) * scale };
    const at = within(inner, extent, content);
    const onPaper = (points: readonly number[]): number[] =>
      points.map((value, i) => (i % 2 === 0 ? at.x : at.y) + value * scale);
    const marked = new Set(markedNames(setting.values[content.marks] ?? '').map(sameName));
    const written = outline
      ? names(outline, scale, content, room).map((each) => ({ ...each, x: at.x + each.x, y: at.y + each.y }))
      : [];
    const placed: KeyPlanLayout = {
      cell: cell.id,
      content,
      ...at,
      parts: (outline?.parts ?? []).map(({ name, ring }) => ({
        ring: onPaper(ring),
        marked: marked.has(sameName(name)),
      })),
      lines: (outline?.lines ?? []).map(onPaper),
      names: written,
    };
    return {
      placed,
      findings: [
        ...missingValues(content.id, 'the key plan', withoutValue(content, room), room),
        ...noOutline(content, room),
        ...unknownParts(content, outline, room),
        ...(content.role === undefined
          ? []
          : [
              ...unknownRoles([content.role], room, content.id, 'the key plan'),
              ...missingInWords(written.map(({ text }) => text).join(' '), content.role, content.id, room),
            ]),
      ],
    };
  },
  inOverlaps: () => 'the key plan',
};
