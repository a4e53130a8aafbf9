import { formulasIn, mapFormulas } from '../formulas';
import type { Design } from '../schema';
import { renameInFormula, usesName } from '../../formula';
import { assertUnlocked, EditError } from './editing';

/** Sets a dimension's formula, for one size when `size` is given; adds the dimension when it is new. */
export function setDimension(design: Design, name: string, formula: string, size?: string): Design {
  assertUnlocked(design);
  const known = design.dimensions.find((each) => each.name === name);
  if (!known) return { ...design, dimensions: [...design.dimensions, { name, formula }] };
  const next = size === undefined ? { ...known, formula } : { ...known, bySize: { ...known.bySize, [size]: formula } };
  return { ...design, dimensions: design.dimensions.map((each) => (each === known ? next : each)) };
}

/** Takes a dimension's own value for one size away, so that the general one holds there. */
export function clearDimension(design: Design, name: string, size: string): Design {
  assertUnlocked(design);
  return {
    ...design,
    dimensions: design.dimensions.map((each) => {
      if (each.name !== name || each.bySize?.[size] === undefined) return each;
      const { bySize, ...rest } = each;
      const others = Object.entries(bySize).filter(([key]) => key !== size);
      return others.length > 0 ? { ...rest, bySize: Object.fromEntries(others) } : rest;
    }),
  };
}

/** Takes a dimension away. @throws EditError when a formula uses it */
export function removeDimension(design: Design, name: string): Design {
  assertUnlocked(design);
  const user = formulasIn(design).find(({ text }) => usesName(text, name));
  if (user) throw new EditError(`${name} is used by ${user.what}; change that first`);
  return { ...design, dimensions: design.dimensions.filter((each) => each.name !== name) };
}

/** Gives a dimension another name, in every formula that uses it. @throws EditError for a name that is taken or no name */
export function renameDimension(design: Design, from: string, to: string): Design {
  assertUnlocked(design);
  if (!/^[A-Za-z][A-Za-z0-9]{0,39}$/.test(to))
    throw new EditError('a dimension is named by one word of letters and digits');
  if (design.dimensions.some((each) => each.name === to)) throw new EditError(`there is a dimension "${to}" already`);
  const renamed = mapFormulas(design, (text) => renameInFormula(text, from, to));
  return {
    ...renamed,
    dimensions: renamed.dimensions.map((each) => (each.name === from ? { ...each, name: to } : each)),
  };
}
