import type { Finding } from '../check';
import type { PlacedView, View } from '../placement';
import type { NewerDrawings } from './newerDrawings';
import type { WorkingUnit } from '../quantity';
import { amountInWords, parseScale } from '../quantity';
import type { OfficeStandard } from '../standard';
import { reduction, sizesOf } from '../standard';

const sameScale = (a: string, b: string): boolean =>
  Math.abs(parseScale(a).denominator / parseScale(b).denominator - 1) < 1e-9;

/** The lowest lettering of a view on paper in mm; undefined where it shows none. */
function lettersOf({ view, width }: PlacedView): number | undefined {
  const { drawing } = view;
  return drawing?.leastText === undefined ? undefined : (drawing.leastText * drawing.unit * width) / view.realWidth;
}

/**
 * What is to be known of a sheet's views besides where they run into something: those that show nothing yet, an older drawing
 * than another view of the same file, or pens that are gone, or have no place yet,
 * scales that the office does not use, letters too low to be read, on the sheet and on a reduced print of it.
 * @param size of the sheet
 */
export function viewNotes(
  views: readonly View[],
  placed: readonly PlacedView[],
  standard: OfficeStandard,
  size: string,
  unit: WorkingUnit,
  newer: NewerDrawings = {},
): Finding[] {
  const notes: Finding[] = [];
  const note = (view: View, message: string, mend: string): void =>
    void notes.push({
      kind: 'view',
      weight: 'note',
      message: `${view.name} ${message}`,
      where: { view: view.id },
      mend,
    });
  for (const view of views) {
    const { scale } = view;
    if (scale !== null && standard.scales.length > 0 && !standard.scales.some((each) => sameScale(each, scale)))
      note(view, `is at ${scale}, which is not in the office’s list of scales`, 'choose a scale of the list');
    if (!view.drawing) note(view, 'shows no drawing yet', 'choose its drawing');
    const on = newer[view.id];
    if (view.drawing && on !== undefined)
      note(view, `shows an older ${view.drawing.name} than ${on} does`, 'choose the newer drawing of that name');
    for (const [layer, pen] of Object.entries(view.drawing?.pens ?? {}))
      if (!standard.pens.some(({ id }) => id === pen))
        note(view, `draws layer ${layer} in a pen that the office no longer has`, 'choose another pen for that layer');
    if (view.module === null) note(view, 'has no place yet', 'stand it in a module, or put it into the tray');
  }
  const known = new Set(sizesOf(standard).map(({ name }) => name));
  const pair = standard.reducedPrints.find(({ from, to }) => from === size && known.has(to));
  for (const each of placed) {
    const height = lettersOf(each);
    if (height === undefined) continue;
    const tell = (mm: number, where: string): void =>
      note(
        each.view,
        `has letters of ${amountInWords(mm, unit)}${where}; the least that the office prints is ${amountInWords(standard.leastHeight, unit)}`,
        'choose a larger scale, or hide their layer',
      );
    if (height < standard.leastHeight - 0.005) tell(height, '');
    else if (pair) {
      const reduced = height * reduction(standard, pair);
      if (reduced < standard.leastHeight - 0.005) tell(reduced, ` when it is printed on ${pair.to}`);
    }
  }
  return notes;
}
