import type { Cell, Content, Design, Loose } from '../design';
import {
  cellsOf,
  formulasIn,
  mapCells,
  mapFormulas,
  parametersOfContent,
  patternsOf,
  textAt,
  withTexts,
} from '../design';
import { renameComparedWords, renameInFormula, usesName } from '../formula';
import { patternKeys, withKey } from '../parameter';

const inPattern = (pattern: string, key: string): boolean => patternKeys(pattern).includes(key);

/** Whether a content takes something from a parameter. */
const uses = (content: Content, key: string): boolean =>
  patternsOf(content).some((path) => inPattern(textAt(content, path), key)) ||
  parametersOfContent(content).some((path) => textAt(content, path) === key);

/** The cells of a design in which a parameter stands, or whose conditions ask for it, by id. */
export function cellsUsing(design: Design, key: string): string[] {
  const asking = new Set(formulasIn(design).flatMap(({ text, cell }) => (cell && usesName(text, key) ? [cell] : [])));
  return [...cellsOf(design)]
    .filter(({ cell }) => asking.has(cell.id) || cell.contents.some((content) => uses(content, key)))
    .map(({ cell }) => cell.id);
}

/** In how many places of a design a parameter stands: cells, stamps, and formulas that belong to no cell. */
export function placesUsing(design: Design, key: string): number {
  const stamps = (design.loose ?? []).filter((each) => looseUses(each, key));
  const formulas = formulasIn(design).filter(({ text, cell }) => cell === undefined && usesName(text, key));
  return cellsUsing(design, key).length + stamps.length + formulas.length;
}

/**
 * A design in which a parameter has another key, wherever it stands, in locked parts too; the same design where it
 * stands nowhere.
 */
export function renameParameter(design: Design, from: string, to: string): Design {
  const renamedContent = (content: Content): Content =>
    withTexts(
      withTexts(content, patternsOf(content), (pattern) =>
        inPattern(pattern, from) ? withKey(pattern, from, to) : pattern,
      ),
      parametersOfContent(content),
      (key) => (key === from ? to : key),
    );
  const renamedCell = (cell: Cell): Cell =>
    cell.contents.some((content) => uses(content, from))
      ? { ...cell, contents: cell.contents.map(renamedContent) }
      : cell;
  let renamed = mapCells(design, renamedCell);
  if (formulasIn(renamed).some(({ text }) => usesName(text, from))) {
    renamed = mapFormulas(renamed, (text) => renameInFormula(text, from, to));
  }
  if (!renamed.loose?.some((each) => looseUses(each, from))) return renamed;
  return {
    ...renamed,
    loose: renamed.loose.map((each) => {
      if (!looseUses(each, from)) return each;
      if (each.kind === 'stamp') return { ...each, pattern: withKey(each.pattern, from, to) };
      return { ...each, parameter: to };
    }),
  };
}

/** Whether a stamp or a picture on the sheet asks for a parameter. */
const looseUses = (loose: Loose, key: string): boolean =>
  loose.kind === 'stamp' ? inPattern(loose.pattern, key) : loose.kind === 'picture' && loose.parameter === key;

/** A design in whose conditions a kind of sheet has another name; the same design where none asks for it. */
export function renameKind(design: Design, from: string, to: string): Design {
  const renamed = (text: string): string => renameComparedWords(text, 'sheet.kind', from, to);
  return formulasIn(design).some(({ text }) => renamed(text) !== text) ? mapFormulas(design, renamed) : design;
}
