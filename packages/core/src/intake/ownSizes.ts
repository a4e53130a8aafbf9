import type { Design } from '../design';
import { LayoutError, measure } from '../layout';
import type { FrameRule, OfficeStandard, SheetSize } from '../standard';
import { frameRuleFor, sizeByExtent, sizesOf } from '../standard';

/** Sizes that a design has and a standard lacks, each with the rule of its own frame. */
export interface OwnSizes {
  sizes: SheetSize[];
  frameRules: FrameRule[];
}

/**
 * The sizes of a design that were taken as drawn and that an office has in no list yet: with them in its standard other designs
 * can be made for them, with the frame that the old sheet had.
 */
export function ownSizesOf(design: Design, standard: OfficeStandard): OwnSizes {
  const known = new Set(sizesOf(standard).map((size) => size.name));
  const sizes = design.sizes.flatMap(({ size }) => (known.has(size) ? [] : (sizeByExtent(size) ?? [])));
  const frameRules = sizes.map((size): FrameRule => {
    const { name } = size;
    const rule = frameRuleFor(size, standard.frameRules);
    return {
      ...rule,
      id: `size-${name}`.replace(/[^a-z0-9.-]+/g, '-'),
      name,
      series: [],
      sizes: [name],
      folds: false,
      ...margins(design, name, standard),
    };
  });
  return { sizes, frameRules };
}

/** The margins that a design has on a size; none where they cannot be computed, so that those of the rule stand. */
function margins(design: Design, size: string, standard: OfficeStandard): Partial<Pick<FrameRule, 'margins'>> {
  try {
    return { margins: measure(design, size, standard, {}).margins };
  } catch (error) {
    if (error instanceof LayoutError) return {};
    throw error;
  }
}
