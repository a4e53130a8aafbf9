import { z } from 'zod';
import type { Row } from '../table';
import type { MeasuredArea } from './measure';

/** Units that areas are told in, with the square metres that one has (exact: a foot is 0.3048 m). */
export const AREA_UNITS = { 'm²': 1, 'sq ft': 0.3048 ** 2 } as const;
export type AreaUnit = keyof typeof AREA_UNITS;

/** Most areas of a list. */
export const MOST_LISTED = 3000;

const words = z.string().trim().min(1).max(80);

/** What areas of a project are measured from, and how they are told. */
export const areaSettingsSchema = z.strictObject({
  sources: z
    .array(
      z.strictObject({
        /** The drawing, and the model or page in it. */
        drawing: z.string().uuid(),
        space: z.string().max(300),
        layers: z.array(z.string().max(255)).max(100),
        /** Millimetres of the building for each unit of the drawing. */
        unit: z.number().positive().max(10_000_000),
      }),
    )
    .max(40),
  /** Groups in the order in which they are listed. */
  groups: z.array(words).max(60),
  /** The group of an area, by its number, or its name where it has none; '' for none, whatever the drawing says. */
  groupOf: z.record(z.string().max(300), z.string().trim().max(80)),
  /** Areas that are measured elsewhere, from a list. */
  listed: z
    .array(
      z.strictObject({
        number: z.string().max(80),
        name: z.string().max(200),
        group: z.string().max(80),
        squareMetres: z.number().min(0).max(1e9),
      }),
    )
    .max(MOST_LISTED)
    .optional(),
  unit: z.enum(Object.keys(AREA_UNITS) as [AreaUnit, ...AreaUnit[]]),
  /** Digits after the point that an area is rounded to; totals are the sums of rounded areas. */
  decimals: z.number().int().min(0).max(3),
});
export type AreaSettings = z.infer<typeof areaSettingsSchema>;

/** Under what the group of an area is kept. */
export const areaKey = ({ number, name }: Pick<MeasuredArea, 'number' | 'name'>): string => number || name;

/** The group of an area: chosen by hand, or as the drawing or the list says it; undefined for none that there is. */
export function groupOfArea(
  area: Pick<MeasuredArea, 'number' | 'name' | 'group'>,
  { groups, groupOf }: Pick<AreaSettings, 'groups' | 'groupOf'>,
): string | undefined {
  const group = groupOf[areaKey(area)] ?? area.group;
  return group !== undefined && groups.includes(group) ? group : undefined;
}

/** Groups that the drawings or the list say and that are not among the chosen ones, in the order in which they come. */
export const unlistedGroups = (areas: readonly MeasuredArea[], { groups }: Pick<AreaSettings, 'groups'>): string[] => [
  ...new Set(areas.flatMap(({ group }) => (group === undefined || groups.includes(group) ? [] : [group]))),
];

/** The areas of a list as if they were measured. */
export const listedAreas = ({ listed = [] }: Pick<AreaSettings, 'listed'>): MeasuredArea[] =>
  listed.map(({ number, name, group, squareMetres }) => ({
    number,
    name,
    ...(group === '' ? {} : { group }),
    squareMetres,
    ring: [],
    at: { x: 0, y: 0 },
    layer: '',
  }));

/** An area in the unit that it is told in, rounded. */
export function roundedArea(squareMetres: number, { unit, decimals }: Pick<AreaSettings, 'unit' | 'decimals'>): number {
  const factor = 10 ** decimals;
  return Math.round((squareMetres / AREA_UNITS[unit]) * factor + 1e-9) / factor;
}

/** An area in words. */
export const areaWords = (amount: number, { unit, decimals }: Pick<AreaSettings, 'unit' | 'decimals'>): string =>
  `${amount.toFixed(decimals)} ${unit}`;

/** A group with its areas and their total, in the unit that areas are told in. */
export interface AreaGroup {
  name: string;
  areas: { area: MeasuredArea; amount: number }[];
  total: number;
}

export interface GroupedAreas {
  groups: AreaGroup[];
  /** Of all groups. */
  total: number;
  /** Areas in no group, which are in no total. */
  rest: { area: MeasuredArea; amount: number }[];
}

const inOrder = (a: MeasuredArea, b: MeasuredArea): number =>
  a.number.localeCompare(b.number, 'en', { numeric: true }) || a.name.localeCompare(b.name, 'en', { numeric: true });

/** Areas by their groups, in the order of the groups and of their numbers. Totals are sums of rounded areas, as they are listed. */
export function groupedAreas(areas: readonly MeasuredArea[], settings: AreaSettings): GroupedAreas {
  const of = (name: string | undefined): { area: MeasuredArea; amount: number }[] =>
    areas
      .filter((area) => groupOfArea(area, settings) === name)
      .toSorted(inOrder)
      .map((area) => ({ area, amount: roundedArea(area.squareMetres, settings) }));
  const sum = (amounts: readonly number[]): number =>
    Number(amounts.reduce((a, b) => a + b, 0).toFixed(settings.decimals));
  const groups = settings.groups.map((name): AreaGroup => {
    const own = of(name);
    return { name, areas: own, total: sum(own.map(({ amount }) => amount)) };
  });
  return { groups, total: sum(groups.map(({ total }) => total)), rest: of(undefined) };
}

/**
 * The rows of the table of areas (worked example 9, common practice): each group with its lines and their total, then the total of all
 * groups where there are several. Areas in no group are in no total, and in no row; a project without groups lists them all.
 */
export function areaRows(areas: readonly MeasuredArea[], settings: AreaSettings): Row[] {
  const { groups, total, rest } = groupedAreas(areas, settings);
  const line = (group: string, name: string, amount: number): Row => ({
    group,
    name,
    area: areaWords(amount, settings),
  });
  const named = ({ number, name }: MeasuredArea): string => [number, name].filter(Boolean).join(' ');
  if (settings.groups.length === 0) {
    const whole = rest.reduce((sum, { amount }) => sum + amount, 0);
    return [
      ...rest.map(({ area, amount }) => line('', named(area), amount)),
      ...(rest.length > 0 ? [line('', 'Total', whole)] : []),
    ];
  }
  const filled = groups.filter((group) => group.areas.length > 0);
  return [
    ...filled.flatMap(({ name, areas: own, total: of }) => [
      ...own.map(({ area, amount }) => line(name, named(area), amount)),
      line(name, `Total ${name}`, of),
    ]),
    ...(filled.length > 1 ? [line('', 'Total', total)] : []),
  ];
}
