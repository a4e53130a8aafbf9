import { namesIn } from '../dimensionUse';
import type { Loose } from '../loose';
import type { Design } from '../schema';
import { assertUnlocked, EditError } from './editing';

export function renameDesign(design: Design, name: string): Design {
  assertUnlocked(design);
  return { ...design, name };
}

/** Adds a sheet size, or turns it when it is there. */
export function setSize(design: Design, size: string, orientation: 'landscape' | 'portrait'): Design {
  assertUnlocked(design);
  const known = design.sizes.some((each) => each.size === size);
  const sizes = known
    ? design.sizes.map((each) => (each.size === size ? { size, orientation } : each))
    : [...design.sizes, { size, orientation }];
  return { ...design, sizes };
}

/** Takes a sheet size out, with the dimensions' own values for it. @throws EditError for the last one */
export function removeSize(design: Design, size: string): Design {
  assertUnlocked(design);
  const sizes = design.sizes.filter((each) => each.size !== size);
  if (sizes.length === 0) throw new EditError('a design serves at least one sheet size');
  return { ...design, sizes, dimensions: withoutSize(design.dimensions, (each) => each !== size) };
}

/** A copy of a design for other sheet sizes; those that it serves already stand as they stood. */
export function forSizes(design: Design, sizes: Design['sizes']): Design {
  const served = sizes.map((each) => design.sizes.find(({ size }) => size === each.size) ?? each);
  const isServed = (name: string): boolean => served.some(({ size }) => size === name);
  return { ...design, sizes: served, dimensions: withoutSize(design.dimensions, isServed) };
}

/** Dimensions without their own values for sizes that are not kept. */
export function withoutSize(dimensions: Design['dimensions'], kept: (size: string) => boolean): Design['dimensions'] {
  return dimensions.map((dimension) => {
    const { bySize, ...rest } = dimension;
    const own = Object.entries(bySize ?? {});
    const others = own.filter(([name]) => kept(name));
    if (others.length === own.length) return dimension;
    return others.length > 0 ? { ...rest, bySize: Object.fromEntries(others) } : rest;
  });
}

/** Changes the frame: its margins, pen, zones and marks. */
export function setFrame(design: Design, change: Partial<Design['frame']>): Design {
  assertUnlocked(design);
  return { ...design, frame: { ...design.frame, ...change } };
}

/**
 * Gives a design the frame of another one: margins, pen and marks.
 * @throws EditError where its margins use dimensions that this design does not have
 */
export function takeFrame(design: Design, from: Design): Design {
  assertUnlocked(design);
  const { margins } = from.frame;
  const used = margins === 'standard' ? [] : Object.values(margins).flatMap(namesIn);
  const lacking = used.find(
    (name) =>
      from.dimensions.some((each) => each.name === name) && !design.dimensions.some((each) => each.name === name),
  );
  if (lacking !== undefined)
    throw new EditError(`the margins of ${from.name} use the dimension ${lacking}, which this design does not have`);
  return { ...design, frame: from.frame };
}

/** Adds a free line, rectangle or stamp, or replaces the one of the same id. */
export function setLoose(design: Design, loose: Loose): Design {
  assertUnlocked(design);
  const before = design.loose ?? [];
  const known = before.some((each) => each.id === loose.id);
  return {
    ...design,
    loose: known ? before.map((each) => (each.id === loose.id ? loose : each)) : [...before, loose],
  };
}

export function removeLoose(design: Design, id: string): Design {
  assertUnlocked(design);
  const loose = (design.loose ?? []).filter((each) => each.id !== id);
  const next = { ...design, loose };
  if (loose.length === 0) delete (next as Partial<Design>).loose;
  return next;
}

/** Sets the module grid in which views are placed. */
export function setModules(design: Design, modules: Design['modules']): Design {
  assertUnlocked(design);
  return { ...design, modules };
}
