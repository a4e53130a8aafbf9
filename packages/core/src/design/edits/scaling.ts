import type { OfficeStandard } from '../../standard';
import { roleFor } from '../../standard';
import { evaluateDimensions, length, mapLengths, renameInFormula } from '../../formula';
import { scaledLinework } from '../../linework';
import { lengthAsFormula } from '../../quantity';
import type { AnyPicture, Content } from '../content';
import { kindOf, withTexts } from '../content';
import { namesIn } from '../dimensionUse';
import { formulasIn, mapFormulas } from '../formulas';
import type { Loose } from '../loose';
import type { Panel } from '../panel';
import type { Design } from '../schema';
import { mapCells } from '../visit';
import { assertUnlocked, EditError } from './editing';
import { dimensionsOfPanel, onlyPanel } from './onePanel';

/** Factors that are no mistake. */
export const LEAST_FACTOR = 0.1;
export const MOST_FACTOR = 10;

/** How something is scaled. */
export interface Scaling {
  factor: number;
  /** Lengths come to whole steps of so many mm, short ones to a tenth of it. */
  step: number;
  /** The panel that is scaled; all of the design when left out. */
  panel?: string;
}

/** Lengths of fewer steps than this are rounded to a tenth of a step. */
const SHORT = 4;

/**
 * A design, or one of its panels, in another size: every length times the factor, each lettering role by the one of its use whose
 * height comes nearest, pictures in proportion. What depends on the sheet or the frame keeps doing so; conditions, pens and the
 * margins of the frame stay. Dimensions that only the panel uses are scaled with it; of those that others use, it takes the part.
 * @throws EditError for a factor that is none, for what is locked, and for a panel that is gone
 */
export function scaleDesign(design: Design, scaling: Scaling, standard: Pick<OfficeStandard, 'roles'>): Design {
  const { factor, panel: id } = scaling;
  if (!(factor >= LEAST_FACTOR && factor <= MOST_FACTOR))
    throw new EditError(`a factor lies between ${LEAST_FACTOR} and ${MOST_FACTOR}`);
  const panel = id === undefined ? undefined : design.panels.find((each) => each.id === id);
  if (id !== undefined && !panel) throw new EditError('that panel is no longer in the design');
  for (const each of panel ? [panel] : design.panels) assertUnlocked(design, each);
  const scaled = panel
    ? scaledPanel(design, panel, scaling)
    : { ...scaledLengths(design, scaling, () => false), frame: keptFrame(design, factor) };
  return withContents(scaled, factor, standard, (each) => id === undefined || each.id === id, id === undefined);
}

/** A formula in which some names stand for lengths so many times as long. */
const multiplied = (text: string, names: (name: string) => boolean, factor: number): string =>
  namesIn(text)
    .filter(names)
    .reduce((now, name) => renameInFormula(now, name, `(${name} * ${Number(factor.toFixed(4))})`), text);

/** A design with its lengths scaled, but for the frame; names that stay as they are are multiplied where they stand. */
function scaledLengths(design: Design, { factor, step }: Scaling, stays: (name: string) => boolean): Design {
  const { frame } = design;
  const next = mapFormulas(design, (text, condition) => {
    if (condition) return text;
    const lengths = mapLengths(text, (mm) => lengthAsFormula(rounded(mm * factor, step), design.unit));
    return multiplied(lengths, stays, factor);
  });
  return { ...next, frame };
}

/** A frame whose margins stay what they are where they are computed from dimensions that are scaled. */
function keptFrame(design: Design, factor: number): Design['frame'] {
  const { margins } = design.frame;
  if (margins === 'standard') return design.frame;
  const lengths = lengthNames(design);
  const kept = (text: string): string => multiplied(text, (name) => lengths.has(name), 1 / factor);
  return {
    ...design.frame,
    margins: {
      left: kept(margins.left),
      right: kept(margins.right),
      top: kept(margins.top),
      bottom: kept(margins.bottom),
    },
  };
}

function rounded(mm: number, step: number): number {
  const fine = Math.abs(mm) < SHORT * step ? step / 10 : step;
  return Number((Math.round(mm / fine) * fine).toFixed(6));
}

function scaledPanel(design: Design, panel: Panel, scaling: Scaling): Design {
  const others = { ...design, panels: design.panels.filter((each) => each !== panel), dimensions: [] };
  const uses = dimensionsOfPanel(panel, design);
  const formulasOf = (name: string): string[] =>
    design.dimensions.flatMap((each) =>
      each.name === name ? [each.formula, ...Object.values(each.bySize ?? {})] : [],
    );
  // What others use stays, and so does what it is computed from; names that are found are looked at in turn.
  const stays = new Set(formulasIn(others).flatMap(({ text }) => namesIn(text)));
  for (const name of stays) for (const text of formulasOf(name)) for (const each of namesIn(text)) stays.add(each);
  const lengths = lengthNames(design);
  const alone = onlyPanel(
    panel,
    design,
    uses.filter(({ name }) => !stays.has(name)),
  );
  const scaled = scaledLengths(alone, scaling, (name) => stays.has(name) && lengths.has(name));
  const dimensions = new Map(scaled.dimensions.map((each) => [each.name, each]));
  return {
    ...design,
    dimensions: design.dimensions.map((each) => dimensions.get(each.name) ?? each),
    panels: design.panels.map((each) => (each === panel ? (scaled.panels[0] ?? each) : each)),
  };
}

/** Dimensions that are lengths; one that is a plain number is a proportion, which stays. */
function lengthNames(design: Design): Set<string> {
  const formulas = new Map(design.dimensions.map(({ name, formula }) => [name, formula]));
  return new Set(
    [...formulas.keys()].filter((name) => {
      try {
        const value = evaluateDimensions(formulas, () => length(100)).get(name);
        return value?.kind !== 'quantity' || value.power === 1;
      } catch {
        // What cannot be computed is reported where it stands.
        return true;
      }
    }),
  );
}

function withContents(
  design: Design,
  factor: number,
  standard: Pick<OfficeStandard, 'roles'>,
  within: (panel: Panel) => boolean,
  withLoose: boolean,
): Design {
  const role = (id: string): string => {
    const known = standard.roles.find((each) => each.id === id);
    return known ? roleFor(standard, known.use, known.unit, known.height * factor).id : id;
  };
  const content = (each: Content): Content => {
    const lettered = withTexts(each, kindOf(each).roles?.(each) ?? [], role);
    return lettered.kind === 'picture' ? scaledPicture(lettered, factor) : lettered;
  };
  const next = mapCells(design, (cell, panel) =>
    within(panel) && cell.contents.length > 0 ? { ...cell, contents: cell.contents.map(content) } : cell,
  );
  if (!withLoose || !design.loose) return next;
  const loose = (next.loose ?? []).map((each): Loose => {
    if (each.kind === 'stamp') return { ...each, role: role(each.role) };
    return each.kind === 'picture' && each.size === 'own' ? scaledPicture(each, factor) : each;
  });
  return { ...next, loose };
}

/** A picture so many times as large; its proportions stay. */
export const scaledPicture = <P extends AnyPicture>(picture: P, factor: number): P => ({
  ...picture,
  width: picture.width * factor,
  height: picture.height * factor,
  linework: scaledLinework(picture.linework, factor),
});
