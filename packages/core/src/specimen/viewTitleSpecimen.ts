import { titleItems } from '../compose';
import type { Drawing } from '../drawing';
import { rectPoints } from '../drawing';
import type { Typefaces } from '../lettering';
import { moduleGrid, placeViews } from '../placement';
import type { OfficeStandard } from '../standard';
import { outline } from './items';

const SIZE = { width: 150, height: 52 };
/** The lower part of a view, in mm, with its title under it. */
const VIEW = { x: 6, y: 34, width: 120, height: 12 };

/** The title of a view as the office has it, under the lower part of a view. */
export function viewTitleSpecimen(standard: OfficeStandard, typefaces: Typefaces): Drawing {
  const grid = moduleGrid(VIEW, { columns: 1, rows: 1 });
  const drawing = { linework: '0'.repeat(64), name: 'plan', unit: 1, x: 0, y: 0 };
  const inches = standard.unit === 'in';
  const view = {
    id: 'specimen',
    name: 'Ground floor plan',
    realWidth: VIEW.width * (inches ? 96 : 100),
    realHeight: VIEW.height * (inches ? 96 : 100),
    scale: inches ? `1/8" = 1'-0"` : '1:100',
    module: 'A1',
    drawing,
  };
  const { placed } = placeViews([view], grid, standard.unit, standard.viewTitle?.numbers);
  const on = { standard, typefaces, unit: standard.unit, sheet: 'A-101' };
  return { ...SIZE, items: [outline(rectPoints(VIEW), 0.13), ...placed.flatMap((each) => titleItems(each, on))] };
}
