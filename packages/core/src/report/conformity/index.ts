import type { Design } from '../../design';
import { LayoutError, solveDesign, UnknownLetteringError } from '../../layout';
import type { Typefaces } from '../../lettering';
import type { OfficeStandard } from '../../standard';
import { triedOn, UnknownSizeError } from '../../standard';
import { dataFieldLines, longValues } from './dataFields';
import type { ConformityLine } from './line';
import { frameLines, letteringLines, widthLines } from './sheets';

export type { ConformityLine } from './line';
export { conformityPages } from './pages';

/**
 * What published standards ask of a title block, rule by rule, and what a design does; those that do not count for the office are left
 * out. Their values are from memory.
 */
export function conformity(design: Design, standard: OfficeStandard, typefaces: Typefaces): ConformityLine[] {
  const { values, tables } = triedOn('typical', standard);
  const on = { values: { ...values, ...longValues() }, tables, standard, typefaces };
  const layouts = design.sizes.flatMap(({ size }) => {
    try {
      return [solveDesign(design, { size, ...on })];
    } catch (error) {
      // What cannot be solved is said over the paper; nothing can be said of it here.
      if (error instanceof LayoutError || error instanceof UnknownLetteringError || error instanceof UnknownSizeError)
        return [];
      throw error;
    }
  });
  const inspected = { design, standard, layouts };
  const lines = [
    ...dataFieldLines(inspected),
    ...widthLines(inspected),
    ...frameLines(inspected),
    ...letteringLines(inspected),
  ];
  return lines.filter((line) => !standard.uncounted?.includes(line.standard));
}
