import type { DrawingRecord, DrawingSpace } from '@mendrel/contract';
import type { ModuleGrid, Rect, ScaleChoice, View, WindowOutline, WorkingUnit } from '@mendrel/core';
import { formatLength, likelyUnit, MM_PER, parseScale, scaleChoices } from '@mendrel/core';
import { newUuid } from '../../../app/newUuid';

/** What of which drawing a view is to show. */
export interface Chosen {
  drawing: DrawingRecord;
  space: DrawingSpace;
  /** Millimetres of the building for each unit of the drawing. */
  unit: number;
  /** In units of the drawing. */
  window: Rect;
  hidden: readonly string[];
  /** The outline of the window, where it is no rectangle; corners are in units of the drawing. */
  outline?: WindowOutline;
  /** Pens of single layers, by their ids in the standard. */
  pens: Readonly<Record<string, string>>;
}

/** What a drawing is made in: units of the building, millimetres of a page, or dots of a picture. */
export type Made = 'drawn' | 'page' | 'picture';

export const madeAs = ({ name }: Pick<DrawingRecord, 'name'>): Made =>
  /\.(?:png|jpe?g)$/i.test(name) ? 'picture' : /\.(?:pdf|svg)$/i.test(name) ? 'page' : 'drawn';

/** Scales that pages are printed at; the first is proposed (common practice). */
const PAGE_SCALES: Readonly<Record<WorkingUnit, readonly string[]>> = {
  mm: ['1:100', '1:1', '1:5', '1:10', '1:20', '1:50', '1:200', '1:500', '1:1000'],
  in: [
    `1/8" = 1'-0"`,
    '1:1',
    ...['3', '1 1/2', '1', '3/4', '1/2', '3/8', '1/4', '3/16', '3/32', '1/16'].map((inches) => `${inches}" = 1'-0"`),
    ...[20, 30, 40, 50].map((feet) => `1" = ${feet}'`),
  ],
};

/** What a dot of a picture shows, in mm; the first is proposed (common practice). */
const DOTS: Readonly<Record<WorkingUnit, readonly number[]>> = {
  mm: [10, 1, 2, 5, 20, 50, 100],
  in: [1 / 2, 1 / 16, 1 / 8, 1 / 4, 1, 2, 4].map((inches) => inches * MM_PER.in),
};

/** Millimetres of the building that a millimetre of a page or a dot of a picture may be, with their words; the first is proposed. */
export const usualUnits = (made: Exclude<Made, 'drawn'>, works: WorkingUnit): { mm: number; words: string }[] =>
  made === 'page'
    ? PAGE_SCALES[works].map((words) => ({ mm: Number(parseScale(words).denominator.toFixed(6)), words }))
    : DOTS[works].map((mm) => ({ mm, words: formatLength(mm, works, true) }));

/** Nothing in a page or a picture says what it shows; only a drawing may. */
function unitFor(drawing: DrawingRecord, space: DrawingSpace, works: WorkingUnit): number {
  const made = madeAs(drawing);
  return made === 'drawn' ? likelyUnit(space.box, space.unit, works) : (usualUnits(made, works)[0]?.mm ?? 1);
}

/** A part of a drawing, whole, with the unit that is likely. */
export const wholeOf = (drawing: DrawingRecord, space: DrawingSpace, works: WorkingUnit): Chosen => ({
  drawing,
  space,
  unit: unitFor(drawing, space, works),
  window: space.box,
  hidden: [],
  pens: {},
});

/** What a view shows now; undefined where its drawing is not among the project's. */
export function chosenOf(view: View, drawings: readonly DrawingRecord[]): Chosen | undefined {
  const { drawing: shown } = view;
  if (!shown) return undefined;
  for (const drawing of drawings) {
    const space = drawing.spaces.find(({ linework }) => linework === shown.linework);
    if (!space) continue;
    const window = { x: shown.x, y: shown.y, width: view.realWidth / shown.unit, height: view.realHeight / shown.unit };
    return {
      drawing,
      space,
      unit: shown.unit,
      window,
      hidden: shown.hidden ?? [],
      pens: shown.pens ?? {},
      ...(shown.outline ? { outline: shown.outline } : {}),
    };
  }
  return undefined;
}

/** The name of a drawing's part: that of its file, and the model or page where it has several. */
export const nameOf = ({ drawing, space }: Pick<Chosen, 'drawing' | 'space'>): string =>
  drawing.spaces.length > 1 ? `${drawing.name}, ${space.name}` : drawing.name;

/** What a view is when it shows what was chosen. */
export function shownIn<T extends Pick<View, 'name'>>(
  view: T,
  chosen: Chosen,
): T & Pick<View, 'realWidth' | 'realHeight' | 'drawing'> {
  const { drawing, space, unit, window, hidden, pens, outline } = chosen;
  return {
    ...view,
    realWidth: window.width * unit,
    realHeight: window.height * unit,
    drawing: {
      linework: space.linework,
      name: nameOf(chosen).slice(0, 300),
      brought: drawing.addedAt,
      unit,
      x: window.x,
      y: window.y,
      ...(hidden.length > 0 ? { hidden: [...hidden] } : {}),
      ...(Object.keys(pens).length > 0 ? { pens } : {}),
      ...(outline === undefined ? {} : { outline: outline === 'circle' ? outline : [...outline] }),
      ...(space.leastText === undefined ? {} : { leastText: space.leastText }),
    },
  };
}

/** A new view of what was chosen, at the largest scale that the drawing area of a sheet holds it at. It has no place yet. */
export function newViewOf(chosen: Chosen, scales: readonly string[], grid: ModuleGrid): View {
  const { drawing } = chosen;
  const named = { ...drawing, name: drawing.name.replace(/\.\w+$/, '') || drawing.name };
  const name = nameOf({ ...chosen, drawing: named }).slice(0, 120);
  const scale = largestScale(chosen, scales, grid)?.scale.words ?? null;
  return { ...shownIn({ id: newUuid(), name }, chosen), scale, module: null };
}

/**
 * What a sheet's views are measured in: feet and inches where one of them has such a scale. Where none of them has a scale the other
 * sheets of the project say it, and on its first one the units of its size and of its design: a size in inches may have a design in
 * millimetres, and the other way round.
 */
export function worksIn(
  views: readonly Pick<View, 'scale'>[],
  elsewhere: readonly Pick<View, 'scale'>[],
  units: readonly WorkingUnit[],
): WorkingUnit {
  for (const some of [views, elsewhere]) {
    const scales = some.flatMap(({ scale }) => (scale === null ? [] : [scale]));
    if (scales.length > 0) return scales.some((scale) => scale.includes('=')) ? 'in' : 'mm';
  }
  return units.includes('in') ? 'in' : 'mm';
}

/** Scales for the unit that views are measured in: in feet and inches, or as a ratio; all where the office's list has none such. */
export function scalesFor(scales: readonly string[], unit: WorkingUnit): readonly string[] {
  const own = scales.filter((scale) => scale.includes('=') === (unit === 'in'));
  return own.length > 0 ? own : scales;
}

/** The largest scale at which the drawing area holds what was chosen; undefined where none does. */
export function largestScale(chosen: Chosen, scales: readonly string[], grid: ModuleGrid): ScaleChoice | undefined {
  const size = { realWidth: chosen.window.width * chosen.unit, realHeight: chosen.window.height * chosen.unit };
  const fitting = scaleChoices(size, scales.map(parseScale), grid).filter(({ fits }) => fits);
  const largestFirst = fitting.sort((a, b) => a.scale.denominator - b.scale.denominator);
  // A view has a title under it; where no scale leaves room for that, a large view is better than none.
  return largestFirst.find(({ titled }) => titled) ?? largestFirst[0];
}
